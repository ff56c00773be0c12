<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** Where a channel of one capture is found in another one. */
final readonly class ChannelMatch
{
    /** Movements go together at this correlation and above. */
    private const SAME = 0.9;

    /** Differences below these are none. */
    private const SCALE_SAME = 0.02;

    private const OFFSET_SAME_US = 4.0;

    /**
     * @param  int|null  $b  Null: in none.
     * @param  float|null  $offsetUs  By how much the centre is shifted.
     * @param  float|null  $correlation  With the channel that comes nearest.
     */
    public function __construct(public int $a, public ?int $b, public ?float $scale, public ?float $offsetUs, public bool $reversed, public ?float $correlation)
    {
    }

    /** @param  Fit  $fit  With the channel that comes nearest. */
    public static function of(int $a, ?int $nearest, Fit $fit): self
    {
        $isSame = abs($fit->correlation) >= self::SAME;

        return new self(
            $a,
            $isSame ? $nearest : null,
            $isSame ? round($fit->scale, 4) : null,
            $isSame ? round($fit->shiftUs, 2) : null,
            $isSame && $fit->scale < 0,
            $nearest === null ? null : round($fit->correlation, 4),
        );
    }

    public function isElsewhere(): bool
    {
        return $this->b !== null && $this->b !== $this->a;
    }

    public function isScaled(): bool
    {
        return $this->scale !== null && abs(abs($this->scale) - 1) > self::SCALE_SAME;
    }

    public function isShifted(): bool
    {
        return $this->offsetUs !== null && ! $this->reversed && abs($this->offsetUs) > self::OFFSET_SAME_US;
    }
}
