<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Finding\Severity;
use Linguator\Core\Steps\Failsafe\FailsafeView;
use Linguator\Core\Steps\Failsafe\LossHop;
use Linguator\Core\Steps\Failsafe\LossTest;
use Linguator\Core\Steps\Failsafe\StoredChannel;

/** What the sheet says of a lost link: what each receiver does, how that is set and with which values, what the craft then does, and how it was tested. */
final readonly class LossRows
{
    public function __construct(private FailsafeView $view)
    {
    }

    /** @return list<SheetRow> */
    public function all(): array
    {
        $recovery = $this->view->recovery === '' ? [] : [new SheetRow('loss/recovery', 'Afterwards', $this->view->recovery)];

        return [...array_merge(...array_map($this->hop(...), $this->view->hops)), ...$recovery];
    }

    /** @return list<SheetRow> */
    private function hop(LossHop $hop): array
    {
        $isCalm = $hop->severity === Severity::Ok || $hop->severity === Severity::Check;

        // What nobody can set is not open.
        return array_values(array_filter([
            new SheetRow("loss/$hop->hop/mode", $hop->receiver, $hop->modeSays, $hop->isSet || $hop->ways === [] ? RowState::Known : RowState::Open),
            $this->stored($hop),
            $this->way($hop),
            new SheetRow("loss/$hop->hop/says", 'The craft', lcfirst($hop->says), $isCalm ? RowState::Known : RowState::Attention),
            ...array_map(static fn (LossTest $test): SheetRow => new SheetRow("loss/$hop->hop/test/{$test->cut->value}", 'Test', $test->do, $test->holds ? RowState::Known : RowState::Open), $hop->tests),
        ]));
    }

    /** What is stored by channel; null: nothing is, or nobody told the values. */
    private function stored(LossHop $hop): ?SheetRow
    {
        $names = array_column(array_map(static fn (StoredChannel $channel): array => [$channel->channel, $channel->function], $hop->storedChannels), 1, 0);
        $told = [];
        foreach ($hop->storedUs ?? [] as $k => $us) {
            if ($us !== null) {
                $told[] = ($names[$k + 1] ?? 'channel '.($k + 1)).sprintf(' %g', $us);
            }
        }

        return $told === [] ? null : new SheetRow("loss/$hop->hop/stored", 'Stored', implode(', ', $told).' µs');
    }

    /** How it is set, by the way in which it was. */
    private function way(LossHop $hop): ?SheetRow
    {
        foreach ($hop->ways as $way) {
            if ($way->way === $hop->setBy) {
                return new SheetRow("loss/$hop->hop/way", 'How it is set', $way->in($hop->mode));
            }
        }

        return null;
    }
}
