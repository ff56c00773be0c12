<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** What to mind about an antenna. */
final readonly class AntennaNote
{
    /**
     * @param  string  $box  Id of the box.
     * @param  float|null  $fMhz  Null: not known.
     */
    public function __construct(public string $box, public ?float $fMhz, public ?float $quarterWaveMm, public string $text)
    {
    }
}
