<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Travel\Thresholds;

/** Travel, centre and direction of every channel that moves with a stick: read, computed, set, and read again. */
final readonly class TravelReview
{
    private TravelContext $context;

    /** @var list<TravelRow> */
    public array $rows;

    /** @param  array<int, array{taken: ReadingTaken, reverse: bool}>  $drafts  What is being typed, by channel. */
    public function __construct(RigDocument $rig, ChainReview $chain, array $drafts = [])
    {
        $this->context = new TravelContext($rig);
        $rows = [];
        foreach ($chain->joins() ? $this->context->channels() : [] as $channel => $function) {
            $rows[] = new TravelRow($this->context, $channel, $function, $drafts[$channel]['taken'] ?? null, $drafts[$channel]['reverse'] ?? false);
        }
        $this->rows = $rows;
    }

    /** Whether every channel was read and is where it should be. */
    public function isDone(): bool
    {
        return $this->rows !== [] && array_filter($this->rows, static fn (TravelRow $row): bool => $row->state() !== 'confirmed') === [];
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

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...array_merge(...array_map(static fn (TravelRow $row): array => $row->findings(), $this->rows)), ...$this->thresholdFindings()];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $model = $this->context->card->model();

        return [
            'rows' => array_map(static fn (TravelRow $row): array => $row->toArray(), $this->rows),
            'model' => $model?->value,
            'model_says' => $model === null
                ? 'How the sub-trim works is not on the card; it is taken to shift everything. A second reading at other settings tells.'
                : "The sub-trim of this handset {$model->label()}.",
            'step_pct' => $this->context->handset->stepPct,
            'max_pct' => $this->context->handset->maxPct,
            'us_per_100' => $this->context->card->scale()->usPer100,
            'school' => $this->context->leavesHandset() ? 'leave' : 'match',
            'centring' => $this->context->centresInController() ? 'controller' : 'subtrim',
            'reader' => $this->context->reader()?->name,
            'controller_range' => $this->context->leavesHandset() ? $this->commonRange() : null,
            'thresholds' => $this->thresholds(),
            'done' => $this->isDone(),
        ];
    }

    /** @return array{lo: float, hi: float}|null The range that every channel read can fill. */
    private function commonRange(): ?array
    {
        [$lows, $highs] = [[], []];
        foreach ($this->rows as $row) {
            if ($row->last() !== null) {
                $lows[] = $row->last()->reading->lo;
                $highs[] = $row->last()->reading->hi;
            }
        }

        return $lows === [] || $highs === [] ? null : ['lo' => max($lows), 'hi' => min($highs)];
    }

    /** @return array<string, mixed>|null Those of the throttle, where a controller reads it. */
    private function thresholds(): ?array
    {
        $judge = $this->throttleJudge();
        if ($judge === null) {
            return null;
        }
        [$low, $high, $band] = $this->set();

        return [
            'controller' => $this->context->reader()?->name,
            'low' => $low, 'high' => $high, 'deadband' => $band,
            'suggested' => ['low' => $judge->suggestedLow(), 'high' => $judge->suggestedHigh(), 'deadband' => $judge->suggestedDeadband()],
            'arms' => $judge->arms(),
            'findings' => Finding::listToArray($this->thresholdFindings()),
        ];
    }

    private function throttleJudge(): ?Thresholds
    {
        foreach ($this->context->reader() === null ? [] : $this->rows as $row) {
            if ($row->function === Letter::Throttle->functionName() && $row->last() !== null) {
                [$low, $high, $band] = $this->set();

                return new Thresholds($row->last()->reading, $row->last()->noiseUs ?? 0.0, $low, $high, $band);
            }
        }

        return null;
    }

    /** @return list<Finding> T2 and T3 of the throttle; T4 of every stick whose middle matters. */
    private function thresholdFindings(): array
    {
        $findings = array_values(array_filter($this->throttleJudge()?->findings() ?? [], static fn (Finding $finding): bool => $finding->code !== 'T4'));
        foreach ($this->context->reader() === null ? [] : $this->rows as $row) {
            $last = $this->context->centres($row->function) ? $row->last() : null;
            foreach ($last === null ? [] : (new Thresholds($last->reading, $last->noiseUs ?? 0.0, null, null, $this->set()[2]))->findings() as $finding) {
                $findings[] = new Finding($finding->code, $finding->severity, ucfirst($row->function).': '.lcfirst($finding->message),
                    $finding->found, $finding->expected, $finding->why, $finding->change);
            }
        }

        return $findings;
    }

    /** @return array{float|null, float|null, float|null} Low and high threshold and dead band: as set in this rig, else as on the card. */
    private function set(): array
    {
        $reader = $this->context->reader();
        $card = $reader === null ? null : $this->context->rig->card($reader->id)?->node()->node('thresholds');
        $own = $this->context->rig->settings()->node('thresholds');
        $of = static fn (string $key): ?float => $own?->numberOrNull($key) ?? $card?->numberOrNull($key);

        return [$of('low'), $of('high'), $of('deadband')];
    }
}
