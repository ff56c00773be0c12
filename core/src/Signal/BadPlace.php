<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** Where a capture holds no sound frame. */
final readonly class BadPlace implements \JsonSerializable
{
    /**
     * @param  int|null  $offset  Of its first byte in the capture; null: pulses.
     * @param  float|null  $us  When it begins; null: the capture has no times.
     * @param  int  $frames  How many frames are lost there.
     */
    public function __construct(public string $reason, public ?int $offset, public ?float $us, public int $frames)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ['reason' => $this->reason, 't_ms' => Steps::msOf($this->us), 'offset' => $this->offset, 'frames' => $this->frames];
    }
}
