<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;

/** A serial format as data (`format-card.schema.json`): its line, and its frame part by part. */
final readonly class FormatCard
{
    private const START_AND_DATA_BITS = 9;

    /** Period of a card that tells none. */
    private const USUAL_MS = 10.0;

    /**
     * @param  list<Part>  $parts  In the order on the wire; exactly one of them carries the channels.
     * @param  Stuffing|null  $stuffing  Between the first and the last byte.
     * @param  float|null  $silenceMs  A frame starts after so much silence; null: it has a header.
     * @param  string  $reportedAs  The id under which a capture is reported: its own, or that of the format it is a kind of.
     * @param  list<OtherFrame>  $others  Frames of other types on the same line.
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $baud,
        public string $parity,
        public int $stopBits,
        public bool $isInverted,
        public int $fewestChannels,
        public int $mostChannels,
        public CountScale $scale,
        public ?Stuffing $stuffing,
        public array $parts,
        public ?float $silenceMs,
        public array $others,
        public float $usualMs,
        public string $reportedAs,
    ) {
    }

    /** @throws DocumentError with the path inside the card. */
    public static function of(mixed $document, Schemas $schemas): self
    {
        $node = new Node($schemas->check($document, 'format-card.schema.json'));
        $line = $node->node('line');
        $channels = $node->node('channels');
        $scale = $node->node('scale');
        assert($line !== null && $channels !== null && $scale !== null);
        $parts = array_map(static fn (Node $part): Part => new Part($part), $node->nodes('parts'));
        self::checkParts($parts, $scale->int('max'));
        $stuffing = $node->node('stuffing');
        self::checkStart($parts, $node->has('silence_ms'));
        if ($channels->int('min') > $channels->int('max')) {
            throw DocumentError::at('channels.max', 'Found fewer at most than at least.');
        }

        return new self(
            $node->text('id'),
            $node->text('name'),
            $line->int('baud'),
            $line->text('parity'),
            $line->int('stop_bits'),
            $line->flag('inverted'),
            $channels->int('min'),
            $channels->int('max'),
            new CountScale($scale->int('centre'), $scale->number('us'), $scale->int('max')),
            $stuffing === null ? null : Stuffing::of($stuffing, $parts),
            $parts,
            $node->numberOrNull('silence_ms'),
            array_map(static fn (Node $other): OtherFrame => OtherFrame::of($other), $node->nodes('others')),
            $node->node('period_ms')?->number('usual') ?? self::USUAL_MS,
            $node->textOrNull('kind_of') ?? $node->text('id'),
        );
    }

    /** Bits of one byte on the wire, start, parity and stop bits included. */
    public function bitsPerByte(): int
    {
        return self::START_AND_DATA_BITS + ($this->parity === 'none' ? 0 : 1) + $this->stopBits;
    }

    /** How long so many bytes take, ms. */
    public function durationMs(int $bytes): float
    {
        return $bytes * $this->bitsPerByte() / $this->baud * 1000;
    }

    public function channelPart(): Part
    {
        foreach ($this->parts as $part) {
            if ($part->kind === 'channels') {
                return $part;
            }
        }
        throw new \LogicException('A format card without channels passed its checks.');
    }

    public function flagPart(): ?Part
    {
        foreach ($this->parts as $part) {
            if ($part->kind === 'flags') {
                return $part;
            }
        }

        return null;
    }

    /** How many on/off channels ride in the flags: 0 to 2. */
    public function digitalChannels(): int
    {
        $flags = $this->flagPart()?->flagBits() ?? [];

        return (isset($flags['digital_1']) ? 1 : 0) + (isset($flags['digital_1'], $flags['digital_2']) ? 1 : 0);
    }

    /** @param  list<Part>  $parts */
    private static function checkParts(array $parts, int $largest): void
    {
        if (count(array_filter($parts, static fn (Part $part): bool => $part->kind === 'channels')) !== 1) {
            throw DocumentError::at('parts', 'Expected exactly one part with channels.');
        }
        foreach ($parts as $k => $part) {
            foreach ($part->needs() as $key) {
                if (! $part->node->has($key)) {
                    throw DocumentError::at("parts.$k.$key", "The key \"$key\" is missing.", 'missing_key');
                }
            }
            if ($part->kind === 'channels' && $largest >= 1 << $part->valueBits()) {
                throw DocumentError::at('scale.max', "Found $largest; {$part->valueBits()} bits hold at most ".((1 << $part->valueBits()) - 1).'.');
            }
        }
    }

    /**
     * A frame is found by a constant header or by the silence before it.
     *
     * @param  list<Part>  $parts
     */
    private static function checkStart(array $parts, bool $hasSilence): void
    {
        if (! $hasSilence && $parts[0]->constant() === null) {
            throw DocumentError::at('silence_ms', 'Found neither a constant at the start of the frame nor "silence_ms"; one of them must mark where a frame starts.', 'missing_key');
        }
        $counted = array_filter($parts, static fn (Part $part): bool => $part->kind === 'count');
        $channels = array_filter($parts, static fn (Part $part): bool => $part->kind === 'channels');
        if ($counted !== [] && array_key_first($counted) > array_key_first($channels)) {
            throw DocumentError::at('parts.'.array_key_first($counted), 'Found the count behind the channels; expected it before them.');
        }
    }
}
