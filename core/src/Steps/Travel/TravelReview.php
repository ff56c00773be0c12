<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Rig\ThresholdSettings;
use Linguator\Core\Steps\Handset\HandsetReview;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;
use Linguator\Core\Steps\StepState;
use Linguator\Core\Travel\Thresholds;

/** Travel, centre and direction of every channel that moves with a stick: read, computed, set, and read again. */
final class TravelReview
{
    private readonly TravelContext $context;

    /** @var list<TravelRow> */
    public readonly array $rows;

    private ?Findings $findings = null;

    private ?TravelView $shown = null;

    /** @param  array<int, Draft>  $drafts  What is being typed, by channel. */
    public function __construct(private readonly RigDocument $rig, array $drafts = [])
    {
        $this->context = new TravelContext($rig);
        $rows = [];
        foreach ($rig->chain()->joins() ? $this->context->channels() : [] as $channel => $function) {
            $rows[] = new TravelRow($this->context, $channel, $function, $drafts[$channel] ?? null);
        }
        $this->rows = $rows;
    }

    /** Whether every channel was read and is where it should be. */
    public function isDone(): bool
    {
        return $this->rows !== [] && array_filter($this->rows, static fn (TravelRow $row): bool => $row->state() !== TravelState::Confirmed) === [];
    }

    /**
     * Sticks that could take the settings of this one over: on the same gimbals, and not read yet.
     *
     * @return list<int>
     */
    public function copiesTo(TravelRow $from): array
    {
        if ($from->last() === null || ! in_array($from->state(), [TravelState::Set, TravelState::Confirmed], true)) {
            return [];
        }
        $others = array_filter($this->rows, static fn (TravelRow $row): bool => $row->channel !== $from->channel && $row->last() === null && Letter::ofFunction($row->function) !== null);

        return array_values(array_map(static fn (TravelRow $row): int => $row->channel, $others));
    }

    public function row(int $channel): ?TravelRow
    {
        foreach ($this->rows as $row) {
            if ($row->channel === $channel) {
                return $row;
            }
        }

        return null;
    }

    public function findings(): Findings
    {
        return $this->findings ??= Findings::none()->and(...array_map(static fn (TravelRow $row): Findings => $row->findings(), $this->rows))->and($this->thresholdFindings());
    }

    public function standing(): Standing
    {
        return match (true) {
            ! $this->rig->chain()->joins() => Standing::open('Travel is known once the chain joins.'),
            default => $this->harm() ?? $this->toRead() ?? $this->leftovers()->standing() ?? Standing::done('Every stick reaches its ends and rests in the middle.'),
        };
    }

    public function shown(): TravelView
    {
        $model = $this->rig->handset()->model();

        return $this->shown ??= new TravelView(
            array_map(fn (TravelRow $row): TravelRowView => $row->shown($this->copiesTo($row)), $this->rows),
            $this->rig->chain()->joins() ? array_map(static fn (ServoOnSwitch $servo): ServoOnSwitchView => $servo->shown(), $this->context->servosOnSwitches()) : [],
            $model,
            $model === null
                ? 'How the sub-trim works is not on the card; it is taken to shift everything. A second reading at other settings tells.'
                : "The sub-trim of this handset {$model->label()}.",
            $this->context->handset->stepPct,
            $this->context->handset->maxPct,
            $this->rig->handset()->scale()->usPer100,
            $this->context->school(),
            $this->context->centring(),
            $this->context->controller?->name,
            $this->context->leavesHandset() ? $this->commonRange() : null,
            $this->thresholds(),
            $this->isDone(),
        );
    }

    /** Those of the throttle, where a controller reads it; null: there is none, or nothing is read. */
    public function thresholds(): ?ThresholdsView
    {
        $judge = $this->throttleJudge();
        if ($judge === null || $this->context->controller === null) {
            return null;
        }
        $set = ThresholdSettings::of($this->rig);

        return new ThresholdsView(
            $this->context->controller->name,
            $set->low,
            $set->high,
            $set->deadband,
            $this->suggested($judge),
            $this->isThrottleConfirmed() ? null : 'Suggested once the throttle is read where it is to stay: its ends are about to change.',
            $judge->arms(),
            $this->thresholdFindings(),
        );
    }

    private function harm(): ?Standing
    {
        $stop = $this->findings()->first(Severity::Stop);

        return $stop === null ? null : Standing::stop($stop->message);
    }

    /** One sentence where several sticks wait, and nothing else is open. */
    private function toRead(): ?Standing
    {
        $open = $this->leftovers()->open()->all;
        $unread = array_filter($this->rows, static fn (TravelRow $row): bool => $row->last() === null);
        $isMore = array_filter($open, static fn (Leftover $leftover): bool => $leftover->state === StepState::Attention) !== [];

        return $isMore || count($unread) < 2 || count($open) < count($unread) ? null : Standing::open('Read each stick at both ends and at rest.');
    }

    private function isThrottleConfirmed(): bool
    {
        foreach ($this->rows as $row) {
            if ($row->function === Letter::Throttle->functionName()) {
                return $row->state() === TravelState::Confirmed;
            }
        }

        return false;
    }

    /** Whole µs, from a throttle that stays as it is; the dead band never below what a stick at rest needs. Null: not to be said yet. */
    private function suggested(Thresholds $judge): ThresholdSettings
    {
        $isKnown = $this->isThrottleConfirmed();
        $resting = array_filter($this->rows, fn (TravelRow $row): bool => $this->context->centres($row->function));
        $isAtRest = array_filter($resting, static fn (TravelRow $row): bool => $row->state() !== TravelState::Confirmed) === [];
        $needed = max([0.0, ...array_values(array_map(static fn (TravelRow $row): float => abs(($row->last()->reading->mid ?? Pulse::CENTRE_US) - Pulse::CENTRE_US), $resting))]);

        return new ThresholdSettings(
            $isKnown ? round($judge->suggestedLow()) : null,
            $isKnown ? round($judge->suggestedHigh()) : null,
            $isKnown && $isAtRest ? max($judge->suggestedDeadband(), ceil($needed)) : null,
        );
    }

    /** What must be mended, sticks that are not where they should be or were never read, and a calibration nobody has made. */
    public function leftovers(): Leftovers
    {
        if (! $this->rig->chain()->joins()) {
            return Leftovers::of($this->rig);
        }
        $toMend = $this->findings()->where(static fn (Finding $finding): bool => $finding->severity === Severity::Fix);
        $isCalibrated = $this->rig->boxes->handset() === null || HandsetReview::isDone($this->rig, HandsetReview::CALIBRATION);

        return Leftovers::of(
            $this->rig,
            ...array_map(static fn (Finding $finding): Leftover => Leftover::toMend(StepKey::Travel, $finding->code, $finding->message), $toMend->all),
            ...array_values(array_filter(array_map(static fn (TravelRow $row): ?Leftover => $row->leftover(), $this->rows))),
            ...($isCalibrated ? [] : [Leftover::open(StepKey::Travel, HandsetReview::CALIBRATION, 'Nobody has said that the sticks of the handset are calibrated.', HandsetReview::BOX)]),
        );
    }

    private function commonRange(): ?CommonRange
    {
        [$lows, $highs] = [[], []];
        foreach ($this->rows as $row) {
            if ($row->last() !== null) {
                $lows[] = $row->last()->reading->lo;
                $highs[] = $row->last()->reading->hi;
            }
        }

        return $lows === [] || $highs === [] ? null : new CommonRange(max($lows), min($highs));
    }

    private function throttleJudge(): ?Thresholds
    {
        foreach ($this->context->controller === null ? [] : $this->rows as $row) {
            if ($row->function === Letter::Throttle->functionName() && $row->last() !== null) {
                $set = ThresholdSettings::of($this->rig);

                return new Thresholds($row->last()->reading, $row->last()->noiseUs ?? 0.0, $set->low, $set->high, $set->deadband);
            }
        }

        return null;
    }

    /** T2 and T3 of the throttle; T4 of every stick whose middle matters. */
    private function thresholdFindings(): Findings
    {
        $findings = Findings::of(...array_map($this->withoutValue(...), ($this->throttleJudge()?->findings() ?? Findings::none())->without(Code::T4)->all));
        foreach ($this->context->controller === null ? [] : $this->rows as $row) {
            $last = $this->context->centres($row->function) ? $row->last() : null;
            $judged = $last === null ? Findings::none() : (new Thresholds($last->reading, $last->noiseUs ?? 0.0, null, null, ThresholdSettings::of($this->rig)->deadband))->findings();
            foreach ($judged as $finding) {
                $findings = $findings->and(new Finding($finding->code, $finding->severity, ucfirst($row->function).': '.lcfirst($finding->message),
                    $finding->found, $finding->expected, $finding->why, $finding->change));
            }
        }

        return $findings;
    }

    /** Ends that are about to change name no threshold. */
    private function withoutValue(Finding $finding): Finding
    {
        return $this->isThrottleConfirmed()
            ? $finding
            : new Finding($finding->code, $finding->severity, $finding->message, $finding->found, $finding->expected, $finding->why, 'Set the ends of the throttle first, then the threshold.');
    }
}
