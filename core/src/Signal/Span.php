<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** How the channels moved over some frames in a row. */
final readonly class Span
{
    /**
     * @param  int  $frame  The first one, from 0.
     * @param  float|null  $us  When it begins; null: the capture has no times.
     * @param  float|null  $gapUs  The longest time from frame to frame.
     */
    public function __construct(public int $frame, public ?float $us, public ?float $gapUs, public Bounds $bounds)
    {
    }

    /** Both together, the other one following this one. */
    public function with(self $next): self
    {
        $gap = $this->gapUs === null || $next->gapUs === null ? $this->gapUs ?? $next->gapUs : max($this->gapUs, $next->gapUs);

        return new self($this->frame, $this->us, $gap, $this->bounds->with($next->bounds));
    }
}
