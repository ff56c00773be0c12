<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\Supply;
use Linguator\Core\Supply\SupplyRange;

/** What feeds a box, and whether that fits. V. */
final readonly class PowerRow
{
    private function __construct(
        public string $name,
        public string $from,
        public string $takes,
        public ?float $lowV,
        public ?float $fullV,
        public Severity $severity,
        public ?Code $code,
        public string $message,
        public string $box,
        public bool $isToTell,
    ) {
    }

    /**
     * @param  string  $box  Its id.
     * @param  Supply|null  $supply  Null: not known.
     * @param  bool  $isToTell  Only somebody who sees it can say what feeds it.
     */
    public static function of(string $box, string $name, string $from, SupplyRange $range, ?Supply $supply, bool $isToTell = false): self
    {
        $finding = $supply === null ? null : PowerCheck::voltage($name, $range, $supply);
        $isKnown = $supply !== null && $range->isKnown();

        return new self(
            $name,
            $from,
            $range->label(),
            $supply?->low,
            $supply?->full,
            $finding->severity ?? ($isKnown ? Severity::Ok : Severity::Check),
            $finding?->code,
            $finding->message ?? match (true) {
                $supply === null => 'What feeds it is not known.',
                $isKnown => 'Full and flat voltage both fit.',
                default => 'What it takes is not known.',
            },
            $box,
            $isToTell,
        );
    }
}
