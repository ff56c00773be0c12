<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

use Linguator\Core\Rig\RigDocument;

/**
 * Something of a rig that nobody can work out and that is looked for a month later: it is said once, kept under `settings.told`, and
 * printed. Each is asked only where it can matter.
 */
enum Fact: string
{
    case ThrottleCut = 'throttle_cut';
    case Timer = 'timer_min';
    case TimerStarts = 'timer_starts';
    case CallOuts = 'call_outs';
    case MixesRemoved = 'mixes_removed';
    case ExtendedLimits = 'extended_limits';
    case SetUpRate = 'set_up_rate';
    case SetUpRateBack = 'set_up_rate_back';
    case Firmware = 'firmware';
    case Band = 'band';
    case Identity = 'identity';
    case CellAlarm = 'cell_alarm_v';
    case VoltageShown = 'voltage_shown';
    case Sensors = 'sensors';
    case TelemetryAlarms = 'telemetry_alarms';
    case SensorsFound = 'sensors_found';
    case ArmedOnly = 'sensors_when_armed';
    case ForcedLoss = 'forced_loss';
    case Notes = 'notes';

    public function label(): string
    {
        return match ($this) {
            self::ThrottleCut => 'Throttle cut',
            self::Timer => 'Timer',
            self::TimerStarts => 'The timer runs',
            self::CallOuts => 'Call-outs',
            self::MixesRemoved => 'Mixes of the template',
            self::ExtendedLimits => 'Extended limits',
            self::SetUpRate => 'Slower rate for the set-up',
            self::SetUpRateBack => 'That rate is put back',
            self::Firmware => 'Firmware',
            self::Band => 'Band',
            self::Identity => 'Shared identity',
            self::CellAlarm => 'Alarm per cell of the craft',
            self::VoltageShown => 'The voltage shown',
            self::Sensors => 'Sensors expected',
            self::TelemetryAlarms => 'Alarms of telemetry',
            self::SensorsFound => 'Found on the bench',
            self::ArmedOnly => 'Sensors only when armed',
            self::ForcedLoss => 'Loss forced by a switch',
            self::Notes => 'Notes for the sheet',
        };
    }

    /** What is meant, in a few words; empty: the label says it. */
    public function hint(): string
    {
        return match ($this) {
            self::ThrottleCut => 'switch and position, such as R1 back',
            self::CallOuts => 'what is spoken at which position',
            self::MixesRemoved => 'which were taken off which channels',
            self::ExtendedLimits => 'switched on, so that ends go beyond 100 %',
            self::SetUpRate => 'set for a monitor that cannot follow, such as 22 ms',
            self::Firmware => 'of the sender and of the receiver',
            self::Identity => 'phrase or number that both ends share',
            self::Sensors => 'by name, as the handset lists them',
            self::SensorsFound => 'which of them showed, and which did not',
            self::TelemetryAlarms => 'what speaks at which value',
            self::ForcedLoss => 'switch and position that cut the link for a test',
            self::Notes => 'where the button and the light are, what to look at first',
            default => '',
        };
    }

    public function kind(): FactKind
    {
        return match ($this) {
            self::Timer, self::CellAlarm => FactKind::Number,
            self::ExtendedLimits, self::SetUpRateBack, self::ArmedOnly => FactKind::YesNo,
            self::TimerStarts, self::VoltageShown => FactKind::Choice,
            self::Notes => FactKind::Paragraph,
            default => FactKind::Text,
        };
    }

    public function unit(): ?string
    {
        return match ($this) {
            self::Timer => 'min',
            self::CellAlarm => 'V',
            default => null,
        };
    }

    /** Smallest and largest number, in its unit; null: it is no number. */
    public function range(): ?FactRange
    {
        return match ($this) {
            self::Timer => new FactRange(0.1, 600.0),
            self::CellAlarm => new FactRange(0.5, 4.5),
            default => null,
        };
    }

    /** @return list<string> What can be chosen. */
    public function choices(): array
    {
        return match ($this) {
            self::TimerStarts => ['with the throttle', 'by a switch', 'from power-on'],
            self::VoltageShown => ["the receiver's own", "of the craft's pack"],
            default => [],
        };
    }

    public function group(): FactGroup
    {
        return match ($this) {
            self::ThrottleCut, self::Timer, self::TimerStarts, self::CallOuts, self::MixesRemoved, self::ExtendedLimits, self::SetUpRate, self::SetUpRateBack => FactGroup::Handset,
            self::Firmware, self::Band, self::Identity => FactGroup::Bind,
            self::CellAlarm, self::VoltageShown, self::Sensors, self::SensorsFound, self::TelemetryAlarms, self::ArmedOnly => FactGroup::Wiring,
            self::ForcedLoss => FactGroup::Failsafe,
            self::Notes => FactGroup::Notes,
        };
    }

    /** Whether it can matter here: a craft without a motor has no throttle cut, a rate is put back once one was set. */
    public function isAsked(RigDocument $rig): bool
    {
        return match ($this) {
            self::ThrottleCut => $rig->functions() === null || $rig->functions()->has('throttle'),
            self::TimerStarts => self::Timer->of($rig) !== null,
            self::SetUpRateBack => self::SetUpRate->of($rig) !== null,
            self::SensorsFound, self::ArmedOnly => self::Sensors->of($rig) !== null,
            default => true,
        };
    }

    /** As it was told; null: it was not. */
    public function of(RigDocument $rig): string|float|bool|null
    {
        $value = $rig->settings()->node('told')?->get($this->value);

        return is_int($value) ? (float) $value : (is_string($value) || is_float($value) || is_bool($value) ? $value : null);
    }

    /** As it stands on the sheet; null: it was not told. */
    public function said(RigDocument $rig): ?string
    {
        $value = $this->of($rig);

        return $value === null ? null : $this->words($value);
    }

    /** A value of it as it is read out. */
    public function words(string|float|bool $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_float($value) => sprintf('%g %s', $value, $this->unit() ?? ''),
            default => $value,
        };
    }
}
