<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

use Linguator\Core\Format\FormatCard;

/** How bytes stand on a wire: eight data bits, least significant first, after a start bit. */
final readonly class LineSetting
{
    private const START_AND_DATA_BITS = 9;

    /**
     * @param  float  $bitUs  Duration of one bit.
     * @param  string  $parity  `none`, `even` or `odd`.
     * @param  int  $stopBits  1 or 2.
     * @param  bool  $isInverted  The wire idles low.
     */
    public function __construct(public float $bitUs, public string $parity, public int $stopBits, public bool $isInverted)
    {
    }

    public static function of(FormatCard $card): self
    {
        return new self(1e6 / $card->baud, $card->parity, $card->stopBits, $card->isInverted);
    }

    /** The bit that must be a stop bit, counted from the start bit. */
    public function stopAt(): int
    {
        return self::START_AND_DATA_BITS + ($this->parity === 'none' ? 0 : 1);
    }

    public function byteUs(): float
    {
        return ($this->stopAt() + $this->stopBits) * $this->bitUs;
    }
}
