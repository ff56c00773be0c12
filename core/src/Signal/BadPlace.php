<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** Where a capture holds no sound frame. */
final readonly class BadPlace
{
    /**
     * @param  int|null  $offset  Of its first byte in the capture; null: pulses.
     * @param  float|null  $us  When it begins; null: the capture has no times.
     * @param  int  $frames  How many frames are lost there.
     */
    public function __construct(public string $reason, public ?int $offset, public ?float $us, public int $frames)
    {
    }

    /** @return array{reason: string, t_ms: float|null, offset: int|null, frames: int} */
    public function toArray(): array
    {
        return ['reason' => $this->reason, 't_ms' => Steps::msOf($this->us), 'offset' => $this->offset, 'frames' => $this->frames];
    }
}
