<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** Frames in a row that carry a flag. */
final readonly class FlagStretch implements \JsonSerializable
{
    /**
     * @param  int  $fromFrame  From 0.
     * @param  float|null  $fromUs  When the first and the last of them began; null: the capture has no times.
     */
    private function __construct(public string $flag, public int $fromFrame, public ?float $fromUs, public ?float $toUs, public int $frames)
    {
    }

    public static function begin(string $flag, int $frame, ?float $us): self
    {
        return new self($flag, $frame, $us, $us, 1);
    }

    public function withNext(?float $us): self
    {
        return new self($this->flag, $this->fromFrame, $this->fromUs, $us, $this->frames + 1);
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) [
            'flag' => $this->flag,
            'from_frame' => $this->fromFrame,
            'frames' => $this->frames,
            'from_ms' => Steps::msOf($this->fromUs),
            'to_ms' => Steps::msOf($this->toUs),
        ];
    }
}
