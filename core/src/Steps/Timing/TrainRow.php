<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

use Linguator\Core\Timing\TrainBudget;

/** A pulse train in the chain, with its budget. µs. */
final readonly class TrainRow
{
    /**
     * @param  int  $used  Channels that carry something.
     * @param  bool  $periodKnown  The card names its frame periods.
     * @param  string  $id  Of the box that sends it.
     * @param  HeldVerdict|null  $held  Null: all channels are used.
     * @param  bool  $isHeld  Somebody holds the unused ones.
     * @param  bool  $mayBeHeld  It is not sound as it is, and holding them mends it.
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public float $frameUs,
        public int $channels,
        public int $used,
        public float $minUs,
        public float $maxUs,
        public bool $periodKnown,
        public TrainBudget $budget,
        public ?HeldVerdict $held,
        public bool $isHeld,
        public bool $mayBeHeld,
    ) {
    }
}
