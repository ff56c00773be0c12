<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

use Linguator\Core\Document\Node;

/** The colours of a cable's wires, in the user's words; empty: not said. */
final readonly class Colours
{
    public function __construct(public string $signal, public string $plus, public string $ground)
    {
    }

    public static function of(?Node $colours): self
    {
        $of = static fn (string $wire): string => $colours?->textOrNull($wire) ?? '';

        return new self($of('signal'), $of('plus'), $of('ground'));
    }
}
