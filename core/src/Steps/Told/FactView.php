<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

/** Something that can be said, as a screen asks for it. */
final readonly class FactView
{
    /**
     * @param  list<string>  $choices
     * @param  FactRange|null  $range  In its unit; null: it is no number.
     * @param  string|float|bool|null  $value  Null: not said.
     * @param  string|null  $follows  What follows from it here; null: nothing that can be said.
     */
    public function __construct(
        public Fact $fact,
        public FactGroup $group,
        public FactKind $kind,
        public string $label,
        public string $hint,
        public ?string $unit,
        public array $choices,
        public ?FactRange $range,
        public string|float|bool|null $value,
        public ?string $follows,
    ) {
    }
}
