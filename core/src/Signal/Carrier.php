<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseShape;

/** What carries the values of a capture: the frames of a card, or the pulses of a shape; neither in a log of values, or where nothing is recognised. */
final readonly class Carrier
{
    /**
     * @param  LineSetting|null  $line  The line as it was read; null: the capture holds bytes or pulses.
     * @param  int  $wire  Position of its wire in the capture.
     */
    public function __construct(public ?FormatCard $card = null, public ?PulseShape $shape = null, public ?LineSetting $line = null, public int $wire = 0)
    {
    }

    /** As answers name it: `ppm`, `pwm` or what the card is reported as; null: no format. */
    public function format(): ?string
    {
        return $this->card === null ? $this->shape?->name() : $this->card->reportedAs;
    }

    /** As somebody would name it: "a pulse train of 8 channels"; null: no format. */
    public function words(): ?string
    {
        $channels = $this->shape?->channels;

        return $this->card->name ?? match (true) {
            $this->shape === null => null,
            $channels === null => 'a single pulse, one channel on its own wire',
            default => "a pulse train of $channels channels",
        };
    }

    /** How its bytes stand on a wire: as they were read, else as the card says. */
    public function lineOrUsual(): ?LineSetting
    {
        return $this->line ?? ($this->card === null ? null : LineSetting::of($this->card));
    }
}
