<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseShape;
use Linguator\Core\Line\UartReader;

/** What was found in a capture. */
final class Decoding
{
    /** Below this a format is not recognised. */
    public const RECOGNISED = 0.6;

    /** Null: not recognised, or a log of values. */
    public ?string $format = null;

    public ?FormatCard $card = null;

    public ?PulseShape $shape = null;

    public float $confidence = 0;

    /** @var array{format: string, confidence: float}|null */
    public ?array $runnerUp = null;

    /** The line as it was read; null: the capture holds bytes or pulses. */
    public ?LineSetting $line = null;

    /** How bytes seem to stand on a wire whose format is not known. */
    public ?LineSetting $unknownLine = null;

    public ?LineFacts $facts = null;

    public ?UartReader $uart = null;

    public ?FrameTally $tally = null;

    /** @var list<string> Wires of the capture. */
    public array $wires = [];

    public ?int $wire = null;

    public bool $isLog = false;

    /** Does the capture's heading tell its unit of time? */
    public bool $isUnitTold = true;

    /** Begin of the bytes, for what can be said of a format that is not known. */
    public string $firstBytes = '';

    public ?int $bytes = null;

    /** @var array{UnknownFrame|null}|null */
    private ?array $unknownFrame = null;

    /** Where the begin that was looked at ends, µs; null: the capture holds no wire. */
    public ?float $headEndsUs = null;

    public function __construct(public readonly CaptureKind $kind, public readonly DecodeOptions $options, public readonly Damage $damage)
    {
    }

    /** What the first bytes show of a frame; looked for once. */
    public function unknownFrame(): ?UnknownFrame
    {
        $this->unknownFrame ??= [UnknownFrame::in($this->firstBytes)];

        return $this->unknownFrame[0];
    }

    /** Is the measured bit time too far from the card's? Only where a card was asked for. */
    public function isWrongBaud(): bool
    {
        return $this->card !== null && $this->options->asked() !== null && $this->facts?->bitUs !== null
            && abs(1e6 / $this->facts->bitUs - $this->card->baud) > $this->card->baud * LineFacts::BAUD_TOLERANCE;
    }
}
