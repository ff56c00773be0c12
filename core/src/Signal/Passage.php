<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Line\UartReader;

/** What was counted below the frames while a capture was gone through. */
final readonly class Passage
{
    /**
     * @param  int|null  $bytes  Null: the capture holds none, or its bytes cannot be told.
     * @param  UartReader|null  $uart  With its faults counted; null: no bytes were read off a wire.
     */
    public function __construct(public ?int $bytes = null, public ?UartReader $uart = null)
    {
    }
}
