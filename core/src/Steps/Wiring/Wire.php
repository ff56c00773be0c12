<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Gear\PlugPin;

/** What runs between two boxes, plug by plug. */
final readonly class Wire
{
    /**
     * @param  string  $format  Its name.
     * @param  float|null  $levelV  High level, V.
     * @param  string  $takes  What the other end takes for a high level.
     * @param  list<WireRow>  $rows
     * @param  list<PlugPin>|null  $fromPlug  Pins of the plug in order, from the key or the edge of the case; null: not known.
     * @param  list<PlugPin>|null  $toPlug
     * @param  string|null  $caution  What a straight lead would get wrong.
     */
    public function __construct(
        public string $from,
        public string $fromName,
        public string $to,
        public string $toName,
        public WireKind $kind,
        public string $format,
        public ?string $polarity,
        public ?float $levelV,
        public string $takes,
        public array $rows,
        public ?array $fromPlug,
        public ?array $toPlug,
        public ?string $caution,
    ) {
    }
}
