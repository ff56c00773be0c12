<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\StoredUs;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Rig\WindowSetting;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Steps\Travel\ServoOnSwitch;
use Linguator\Core\Steps\Travel\TravelContext;
use Linguator\Core\Switching\StickCurve;
use Linguator\Core\Switching\Window;
use Linguator\Core\Switching\WindowCheck;
use Linguator\Core\Switching\WindowRange;
use Linguator\Core\Travel\Gimbal;

/** Switches, the channels they ride on, the windows the controller has for them, and rates and expo of the sticks. */
final class SwitchReview
{
    private readonly TravelContext $travel;

    private readonly ChannelRules $channels;

    private ?Findings $findings = null;

    private ?bool $comesHome = null;

    /** @var list<SwitchRow>|null */
    private ?array $rows = null;

    /** @var list<RateRow>|null */
    private ?array $rates = null;

    public function __construct(private readonly RigDocument $rig)
    {
        $this->travel = new TravelContext($rig);
        $this->channels = new ChannelRules($rig);
    }

    public function isAssigned(): bool
    {
        return $this->rig->switches() !== [];
    }

    /** @return list<string> Functions beyond the sticks and servos for which no switch is chosen yet. */
    public function unassigned(): array
    {
        $onSticks = $this->travel->channels();
        $waiting = [];
        foreach ($this->rig->functions() ?? [] as $entry) {
            if ($this->rig->switchOf($entry->function) === null && ! in_array($entry->function, $onSticks, true)) {
                $waiting[] = $entry->function;
            }
        }

        return $waiting;
    }

    public function findings(): Findings
    {
        return $this->findings ??= $this->lookForFindings();
    }

    private function lookForFindings(): Findings
    {
        $findings = $this->channels->findings()->and($this->servoFindings());
        foreach ($this->rig->switches() as $switch) {
            foreach ($this->windowsOn($switch->channel) as $window) {
                $findings = $findings->and($this->check($switch, $window)->findings());
            }
        }

        return $findings;
    }

    public function standing(): Standing
    {
        $stop = $this->findings()->first(Severity::Stop);

        return $stop !== null ? Standing::stop($stop->message) : $this->leftovers()->standing() ?? Standing::done($this->isAssigned() ? 'Every switch lands where it should.' : 'No switches to set.');
    }

    /** What must be mended, and functions without a switch: with no channel for it, or with one that no switch is said to move. */
    public function leftovers(): Leftovers
    {
        $toMend = $this->findings()->where(static fn (Finding $finding): bool => $finding->severity === Severity::Fix);

        $onNoSwitch = array_filter($this->rig->switches(), static fn (SwitchSetting $switch): bool => $switch->switchId === null);

        return Leftovers::of(
            $this->rig,
            ...array_map(static fn (Finding $finding): Leftover => Leftover::toMend(StepKey::Switches, $finding->code, $finding->message), $toMend->all),
            ...array_map(static fn (string $function): Leftover => Leftover::open(StepKey::Switches, $function, "Choose a switch for $function."), [...$this->unassigned(), ...array_values(array_map(static fn (SwitchSetting $switch): string => $switch->function, $onNoSwitch))]),
        );
    }

    /** A limit holds whatever drives the servo. */
    private function servoFindings(): Findings
    {
        return Findings::of(...array_map(
            fn (SwitchSetting $switch): ?Finding => (new ServoOnSwitch($switch, $this->travel->servos($switch->function)))->finding(),
            $this->rig->switches(),
        ));
    }

    /** How far a window must reach to hold what it should; null: no switch moves its channel. */
    public function widened(WindowSetting $window): ?WindowRange
    {
        foreach ($this->rig->switches() as $switch) {
            if ($switch->channel === $window->channel) {
                return $this->check($switch, $window)->widened();
            }
        }

        return null;
    }

    /** Null when nothing is wrong with the channels, or nothing fits. */
    public function proposal(): ?Proposal
    {
        return $this->channels->proposal();
    }

    public function shown(): SwitchesView
    {
        $scale = $this->rig->handset()->scale();

        return new SwitchesView(
            $this->rows(),
            $this->unassigned(),
            array_values(array_filter($this->travel->channels(), static fn (string $function): bool => Letter::ofFunction($function) === null)),
            $this->rig->handset()->switches(),
            $this->channels->findings()->and($this->servoFindings()),
            $this->proposal(),
            $this->looseWindows(),
            $this->rates(),
            $this->travel->controller?->name,
            new HandsetScale($scale->centre, $scale->usPer100, $this->rig->handset()->maxPct()),
            $this->channels->nextFree(),
        );
    }

    /** @return list<SwitchRow> */
    public function rows(): array
    {
        return $this->rows ??= array_map($this->row(...), $this->rig->switches());
    }

    /** @return list<RateRow> Of the sticks that have them. */
    public function rates(): array
    {
        if ($this->rates === null) {
            $this->rates = [];
            foreach ($this->travel->channels() as $channel => $function) {
                if (Letter::ofFunction($function) !== null && $function !== Letter::Throttle->functionName()) {
                    $this->rates[] = $this->rate($channel, $function);
                }
            }
        }

        return $this->rates;
    }

    private function row(SwitchSetting $switch): SwitchRow
    {
        return new SwitchRow(
            $switch->position,
            $switch->function,
            $switch->channel,
            self::named($switch->channel, $this->rig->handset()->auxFrom()),
            self::named($switch->channel, ChannelOrder::STICKS + 1),
            $switch->switchId,
            $switch->isSlider(),
            $switch->springs(),
            $switch->weight,
            $switch->offset,
            $switch->curve,
            $switch->powerUp,
            $switch->measured !== null,
            $switch->levels()->levels,
            array_map(fn (WindowSetting $window): WindowRow => new WindowRow($window->position, $window->channel, $window->window->lo, $window->window->hi, $window->window->wanted, $this->check($switch, $window)->verdict()), $this->windowsOn($switch->channel)),
        );
    }

    /** What a channel is called by somebody whose first auxiliary is this channel. */
    private static function named(int $channel, int $auxFrom): string
    {
        return $channel >= $auxFrom ? 'auxiliary '.($channel - $auxFrom + 1) : "channel $channel";
    }

    /** @return list<WindowSetting> */
    private function windowsOn(int $channel): array
    {
        return array_values(array_filter($this->rig->windows(), static fn (WindowSetting $window): bool => $window->channel === $channel));
    }

    private function check(SwitchSetting $switch, WindowSetting $setting): WindowCheck
    {
        $levels = $switch->levels();
        $window = $setting->window;
        $wanted = array_values(array_filter($window->wanted, static fn (int $position): bool => $position <= $levels->count()));

        return new WindowCheck(
            $levels,
            new Window($window->name, $window->lo, $window->hi, $wanted),
            min($levels->count(), $switch->powerUp),
            $this->storedFailsafe($switch->channel),
            $switch->springs(),
        );
    }

    /** What the last hop that stores values has for this channel, µs; null also where the craft comes home on it, and must stay armed. */
    private function storedFailsafe(int $channel): ?float
    {
        if ($this->comesHome()) {
            return null;
        }
        $stored = null;
        foreach ($this->rig->settings()->nodes('failsafe') as $hop) {
            if ($hop->textOrNull('mode') === FailsafeMode::Stored->value) {
                $stored = StoredUs::of($hop)->at($channel);
            }
        }

        return $stored;
    }

    private function comesHome(): bool
    {
        return $this->comesHome ??= (array_slice((new FailsafeReview($this->rig))->hops, -1)[0] ?? null)?->bySettings() === Outcome::ReturnHome;
    }

    /** @return list<LooseWindow> */
    private function looseWindows(): array
    {
        $channels = array_map(static fn (SwitchSetting $switch): int => $switch->channel, $this->rig->switches());
        $loose = array_filter($this->rig->windows(), static fn (WindowSetting $window): bool => ! in_array($window->channel, $channels, true));

        return array_values(array_map(static fn (WindowSetting $window): LooseWindow => new LooseWindow($window->position, $window->window->name, $window->channel, $window->window->lo, $window->window->hi), $loose));
    }

    private function rate(int $channel, string $function): RateRow
    {
        $record = new ChannelRecord($this->rig, $channel);
        $node = $record->node();
        $us = $this->sends($record);
        [$rate, $low, $expo] = [$node->number('rate_pct', 100.0), $node->numberOrNull('low_rate_pct'), $node->number('expo_pct', 0.0)];
        $curve = new StickCurve($rate / 100, $expo / 100);
        $lowCurve = $low === null ? null : new StickCurve($low / 100, $expo / 100);
        $throw = static fn (StickCurve $of): ThrowUs => new ThrowUs(Steps::clean(round($us(0.0) - $us($of->at(-1.0)), 1)), Steps::clean(round($us($of->at(1.0)) - $us(0.0), 1)));

        return new RateRow($channel, $function, $rate, $low, $expo, $throw($curve), $lowCurve === null ? null : $throw($lowCurve), $curve->centreGain(), $curve->pointsThrough($us), $lowCurve?->pointsThrough($us));
    }

    /** @return \Closure(float): float What the channel sends with the ends in force, µs for a share of the stick's way: as read, else as set. */
    private function sends(ChannelRecord $record): \Closure
    {
        $ends = $record->ends();
        if ($ends !== null) {
            return $ends->at(...);
        }
        $handset = $this->rig->handset();
        // Which way round it goes changes nothing of how far.
        $set = $record->now()->reversed ? $record->now()->reversed() : $record->now();

        return static fn (float $share): float => Gimbal::nominal($handset->travel(), $handset->scale())->at($set, $share);
    }
}
