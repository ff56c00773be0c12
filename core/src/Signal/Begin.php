<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Line\LineSetting;

/** What the begin of a capture shows: what format it seems to be, and how the line runs. */
final readonly class Begin
{
    /**
     * @param  Choice|null  $choice  Null: a log of values.
     * @param  bool  $isUnitTold  Does the capture's heading tell its unit of time?
     * @param  list<string>  $wires  Of the capture.
     * @param  int|null  $wire  Position of the one that is read; null: the capture holds no wire.
     * @param  LineSetting|null  $unknownLine  How bytes seem to stand on a wire whose format is not known.
     * @param  float|null  $endsUs  Where what was looked at ends; null: the capture holds no wire.
     * @param  float|null  $grainUs  How far apart the samples of a recording lie; null: it is none.
     * @param  string  $bytes  The first ones, for what can be said of a format that is not known.
     */
    public function __construct(
        public CaptureKind $kind,
        public DecodeOptions $options,
        public ?Choice $choice,
        public bool $isUnitTold,
        public array $wires = [],
        public ?int $wire = null,
        public ?LineFacts $facts = null,
        public ?LineSetting $unknownLine = null,
        public ?float $endsUs = null,
        public string $bytes = '',
        public ?float $grainUs = null,
    ) {
    }

    /** What it is taken for until all of it has been read. */
    public function carrier(): Carrier
    {
        return new Carrier($this->choice?->card, $this->choice?->shape, $this->choice?->line, $this->wire ?? 0);
    }
}
