<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\ByteCapture;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\CsvChannels;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\WireCapture;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Line\LineGuess;

/** Reads a capture of any kind: finds its format, then goes through all of it. */
final readonly class Decoder
{
    /** A format is looked for in so many bytes or changes, from the begin on, and so often again if the begin is not recognised. */
    private const HEAD_BYTES = 65_536;

    private const HEAD_CHANGES = 30_000;

    private const HEADS = 6;

    /** @param  list<FormatCard>  $cards  Serial formats that are looked for. */
    public function __construct(private array $cards)
    {
    }

    /** @throws DocumentError if nothing of the capture can be read. */
    public function decode(Source $source, DecodeOptions $options): Recognised|ValueLog|Unrecognised
    {
        $begin = $this->begin($source, $options);
        $damage = new Damage;
        $tally = new FrameTally($begin->choice?->card, $options->frames);
        $passage = Walk::through(Walk::reader($source, $begin->kind, $damage), $begin->carrier(), $tally);

        return $begin->choice === null ? self::log($begin, $damage, $tally) : self::settled($begin, $begin->choice, $passage, $damage, $tally);
    }

    /**
     * Looks at the begin only: what format it is, and how the line runs.
     *
     * @throws DocumentError if nothing of the capture can be read.
     */
    public function begin(Source $source, DecodeOptions $options): Begin
    {
        if ($source->size() === 0) {
            throw new DocumentError('empty', 'The capture is empty: found 0 bytes; expected bytes, changes or values.', 'capture');
        }
        $kind = $options->kind ?? CaptureKind::of($source);
        $damage = new Damage;
        $capture = Walk::reader($source, $kind, $damage);
        $isUnitTold = $kind !== CaptureKind::Csv || Walk::layout($source)->isUnitTold;

        return match (true) {
            $capture instanceof CsvChannels => new Begin($kind, $options, null, $isUnitTold),
            $capture instanceof ByteCapture => $this->ofBytes($capture, $kind, $options, $damage),
            default => $this->ofWire($capture, $kind, $options, $isUnitTold, $damage),
        };
    }

    private function ofBytes(ByteCapture $capture, CaptureKind $kind, DecodeOptions $options, Damage $damage): Begin
    {
        [$choice, $first] = [null, ''];
        foreach (self::heads($capture->bytes(), static fn (TimedBytes $some): int => strlen($some->bytes), self::HEAD_BYTES) as $chunks) {
            $first = $first === '' ? TimedBytes::join(...$chunks)->bytes : $first;
            $choice = Choice::ofBytes($this->asked($options), $chunks);
            if ($choice->isRecognised()) {
                break;
            }
        }

        return new Begin($kind, $options, $choice ?? throw self::nothing($damage, 'bytes'), true, bytes: $first);
    }

    private function ofWire(WireCapture $capture, CaptureKind $kind, DecodeOptions $options, bool $isUnitTold, Damage $damage): Begin
    {
        $wire = self::wireAsked($options->wire, $capture);
        [$choice, $facts, $head] = [null, null, []];
        foreach (self::heads($capture->edges($wire), static fn (Edges $edges): int => count($edges->times), self::HEAD_CHANGES) as $head) {
            $facts = LineFacts::of($head);
            $choice = Choice::ofEdges($this->asked($options), $options->asked(), $head, $facts);
            if ($choice->isRecognised()) {
                break;
            }
        }
        if ($choice === null || $facts === null) {
            throw self::nothing($damage, 'changes of level');
        }
        $guess = $choice->isRecognised() ? null : LineGuess::of($head, $facts);
        $times = $head[count($head) - 1]->times;

        return new Begin($kind, $options, $choice, $isUnitTold, $capture->wires(), $wire, $facts, $guess?->line, $times[count($times) - 1] ?? null, $guess->bytes ?? $choice->bytes, $capture->grainUs());
    }

    private static function log(Begin $begin, Damage $damage, FrameTally $tally): ValueLog
    {
        return $tally->good > 0 ? new ValueLog($begin, $damage, $tally) : throw self::nothing($damage, 'rows of values');
    }

    /** The begin may mislead: what counts is the whole. */
    private static function settled(Begin $begin, Choice $choice, Passage $passage, Damage $damage, FrameTally $tally): Recognised|Unrecognised
    {
        $confidence = self::confidence($choice, $tally);
        $format = $begin->carrier()->format();
        $isAsked = $begin->options->asked() !== null && $tally->good > 0;

        return $format !== null && ($confidence >= Score::RECOGNISED || $isAsked)
            ? new Recognised($begin, $passage, $damage, $confidence, $format, $tally)
            : Unrecognised::of($begin, $passage, $damage, $confidence);
    }

    /** How sure the format is, by all frames of the capture: 0 to 1. */
    private static function confidence(Choice $choice, FrameTally $tally): float
    {
        if ($choice->card !== null) {
            $frames = $tally->good + array_sum($tally->others);

            return max($choice->confidence, Score::confidence($choice->card, $tally->good, $frames / max(1, $frames + $tally->bad)));
        }
        if ($choice->shape !== null) {
            $frames = $tally->good + $tally->bad;

            return Score::ofPulses($frames, $tally->good / max(1, $frames));
        }

        return $choice->confidence;
    }

    /** @return list<FormatCard> Cards that may be it. */
    private function asked(DecodeOptions $options): array
    {
        if ($options->card !== null) {
            return [$options->card];
        }

        return $options->format === null ? $this->cards : array_values(array_filter($this->cards, static fn (FormatCard $card): bool => $card->reportedAs === $options->format || $card->id === $options->format));
    }

    private static function wireAsked(?string $asked, WireCapture $capture): int
    {
        $wires = $capture->wires();
        if ($asked === null) {
            return count($wires) > 1 ? $capture->busiest() : 0;
        }
        $found = array_search($asked, $wires, true);
        $position = is_numeric($asked) ? (int) $asked - 1 : -1;

        return match (true) {
            $found !== false => $found,
            isset($wires[$position]) => $position,
            default => throw DocumentError::at('line', 'There is no wire '.Excerpt::of($asked).' in the capture; expected one of '.implode(', ', array_map(Excerpt::of(...), array_slice($wires, 0, 20))).'.', 'no_such_wire'),
        };
    }

    /**
     * Pieces of the begin of a capture, each as long as is needed to tell a format.
     *
     * @template T
     *
     * @param  \Generator<int, T>  $chunks
     * @param  \Closure(T): int  $sizeOf
     * @return \Generator<int, non-empty-list<T>>
     */
    private static function heads(\Generator $chunks, \Closure $sizeOf, int $size): \Generator
    {
        [$head, $length, $heads] = [[], 0, 0];
        foreach ($chunks as $chunk) {
            $head[] = $chunk;
            $length += $sizeOf($chunk);
            if ($length >= $size) {
                yield $head;
                [$head, $length] = [[], 0];
                if (++$heads >= self::HEADS) {
                    return;
                }
            }
        }
        if ($head !== [] && $length > 0) {
            yield $head;
        }
    }

    private static function nothing(Damage $damage, string $expected): DocumentError
    {
        $first = $damage->places[0] ?? null;
        $where = $first === null ? '' : " Line {$first['line']}: found {$first['found']}; expected {$first['expected']}.";

        return new DocumentError('nothing_readable', "Found no $expected that can be read in the capture.$where", 'capture');
    }
}
