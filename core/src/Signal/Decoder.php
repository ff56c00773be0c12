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
    public function decode(Source $source, DecodeOptions $options): Decoding
    {
        $decoding = $this->choose($source, $options);
        // Reading anew finds the same damage anew.
        $decoding->damage->restart();
        Walk::through(Walk::reader($source, $decoding->kind, $decoding->damage), $decoding, $decoding->tally ?? new FrameTally(null, 0));
        $this->settle($decoding);

        return $decoding;
    }

    /**
     * Looks at the begin only: what format it is, and how the line runs.
     *
     * @throws DocumentError if nothing of the capture can be read.
     */
    public function choose(Source $source, DecodeOptions $options): Decoding
    {
        if ($source->size() === 0) {
            throw new DocumentError('empty', 'The capture is empty: found 0 bytes; expected bytes, changes or values.', 'capture');
        }
        $kind = $options->kind ?? CaptureKind::of($source);
        $decoding = new Decoding($kind, $options, new Damage);
        $capture = Walk::reader($source, $kind, $decoding->damage);
        match (true) {
            $capture instanceof CsvChannels => self::chooseLog($decoding),
            $capture instanceof ByteCapture => $this->chooseBytes($capture, $decoding),
            default => $this->chooseWire($capture, $decoding),
        };
        if ($kind === CaptureKind::Csv) {
            $decoding->isUnitTold = Walk::layout($source)->isUnitTold;
        }

        return $decoding;
    }

    private static function chooseLog(Decoding $decoding): void
    {
        $decoding->isLog = true;
        $decoding->confidence = 1;
        $decoding->tally = new FrameTally(null, $decoding->options->frames);
    }

    private function chooseBytes(ByteCapture $capture, Decoding $decoding): void
    {
        $choice = null;
        foreach (self::heads($capture->bytes(), static fn (array $chunk): int => strlen($chunk[0]), self::HEAD_BYTES) as $chunks) {
            $decoding->firstBytes = $decoding->firstBytes === '' ? implode('', array_column($chunks, 0)) : $decoding->firstBytes;
            $choice = Choice::ofBytes($this->asked($decoding->options), $chunks);
            if ($choice->confidence >= Decoding::RECOGNISED) {
                break;
            }
        }
        $this->take($choice ?? throw self::nothing($decoding->damage, 'bytes'), $decoding);
    }

    private function chooseWire(WireCapture $capture, Decoding $decoding): void
    {
        $decoding->wires = $capture->wires();
        $wire = self::wireAsked($decoding->options->wire, $capture);
        $decoding->wire = $wire;
        [$choice, $head] = [null, []];
        foreach (self::heads($capture->edges($wire), static fn (Edges $edges): int => count($edges->times), self::HEAD_CHANGES) as $head) {
            $decoding->facts = LineFacts::of($head);
            $last = $head[count($head) - 1]->times;
            $decoding->headEndsUs = $last === [] ? null : $last[count($last) - 1];
            $choice = Choice::ofEdges($this->asked($decoding->options), $decoding->options->asked(), $head, $decoding->facts);
            if ($choice->confidence >= Decoding::RECOGNISED) {
                break;
            }
        }
        $choice ??= throw self::nothing($decoding->damage, 'changes of level');
        $decoding->line = $choice->line;
        $decoding->shape = $choice->shape;
        $decoding->firstBytes = $choice->bytes;
        $this->take($choice, $decoding);
        $guess = $choice->confidence < Decoding::RECOGNISED && $decoding->facts !== null ? LineGuess::of($head, $decoding->facts) : null;
        if ($guess !== null) {
            [$decoding->unknownLine, $decoding->firstBytes] = [$guess->line, $guess->bytes];
        }
    }

    private function take(Choice $choice, Decoding $decoding): void
    {
        $decoding->confidence = $choice->confidence;
        $decoding->runnerUp = $choice->runnerUp;
        $decoding->card = $choice->card;
        if ($choice->card !== null || $choice->shape !== null) {
            $decoding->format = $choice->card === null ? $choice->name() : $choice->card->reportedAs;
            $decoding->tally = new FrameTally($choice->card, $decoding->options->frames);
        }
    }

    /** The begin may mislead: what counts is the whole. */
    private function settle(Decoding $decoding): void
    {
        $tally = $decoding->tally;
        if ($tally === null) {
            return;
        }
        if ($decoding->isLog) {
            if ($tally->good === 0) {
                throw self::nothing($decoding->damage, 'rows of values');
            }

            return;
        }
        if ($decoding->card !== null) {
            $frames = $tally->good + array_sum($tally->others);
            $share = $frames / max(1, $frames + $tally->bad);
            $decoding->confidence = max($decoding->confidence, Score::confidence($decoding->card, $tally->good, $share));
        }
        if ($decoding->shape !== null) {
            $frames = $tally->good + $tally->bad;
            $decoding->confidence = Score::ofPulses($frames, $tally->good / max(1, $frames));
        }
        $isAsked = $decoding->options->asked() !== null && $tally->good > 0;
        if ($decoding->confidence < Decoding::RECOGNISED && ! $isAsked) {
            [$decoding->format, $decoding->card, $decoding->shape, $decoding->line] = [null, null, null, null];
        }
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
