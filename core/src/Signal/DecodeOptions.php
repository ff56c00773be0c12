<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Format\FormatCard;

/** What is told of a capture beforehand; null or empty: it is to be found out. */
final readonly class DecodeOptions
{
    public const SHOWN_FRAMES = 10;

    /**
     * @param  string|null  $format  `ppm`, `pwm` or the id of a card.
     * @param  FormatCard|null  $card  Goes before the format.
     * @param  string|null  $wire  Name of a wire, its position from 1, or `left` or `right`.
     * @param  int  $frames  How many of the first frames are given whole.
     * @param  float|null  $maxRateHz  Most frames a second the reader can take.
     */
    public function __construct(
        public ?CaptureKind $kind = null,
        public ?string $format = null,
        public ?FormatCard $card = null,
        public ?string $wire = null,
        public int $frames = self::SHOWN_FRAMES,
        public ?float $maxRateHz = null,
    ) {
    }

    /** Which format is asked for; null: any. */
    public function asked(): ?string
    {
        return $this->card === null ? $this->format : $this->card->id;
    }
}
