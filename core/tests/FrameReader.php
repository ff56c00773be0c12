<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Frame;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\Stuffing;

/** Reads one whole frame by its card: what framers find in streams is held against it. */
final readonly class FrameReader
{
    private FrameLayout $layout;

    private ?Stuffing $stuffing;

    public function __construct(private FormatCard $card)
    {
        $this->layout = new FrameLayout($card);
        $this->stuffing = $card->stuffing;
    }

    /** @return Frame|string The frame, or why it is none: `short`, `long`, `header`, `length`, `type`, `checksum`, `ending`, `channels`. */
    public function read(string $wire): Frame|string
    {
        $bytes = $this->stuffing?->remove($wire) ?? $wire;
        $size = $this->layout->sizeAt($bytes, 0) ?? $this->layout->smallest;
        if ($size === 0 || strlen($bytes) !== $size) {
            return $size > 0 && strlen($bytes) > $size ? 'long' : 'short';
        }

        return $this->layout->fault($bytes) ?? $this->frame($bytes);
    }

    private function frame(string $bytes): Frame|string
    {
        $counts = $this->layout->counts($bytes);
        $flags = array_map(fn (int $bit): bool => ($this->layout->flagByte($bytes) >> $bit & 1) === 1, $this->card->flagPart()?->flagBits() ?? []);

        return $counts === [] ? 'channels' : new Frame($counts, $flags, $this->layout->values($bytes));
    }
}
