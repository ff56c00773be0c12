<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** A generic card to begin from. */
final readonly class Starter
{
    /**
     * @param  list<string>  $check  What must be looked at on one's own.
     * @param  \stdClass  $card  Without id and name.
     */
    public function __construct(public string $title, public string $hint, public array $check, public \stdClass $card)
    {
    }
}
