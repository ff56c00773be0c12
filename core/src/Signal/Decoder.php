<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\BinaryReader;
use Linguator\Core\Capture\ByteCapture;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\CsvChannels;
use Linguator\Core\Capture\CsvEdges;
use Linguator\Core\Capture\CsvLayout;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\HexReader;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\VcdReader;
use Linguator\Core\Capture\WavReader;
use Linguator\Core\Capture\WireCapture;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Framers;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Line\UartReader;

/** Reads a capture of any kind: finds its format, then goes through all of it. */
final readonly class Decoder
{
    /** A format is looked for in so many bytes or changes, from the begin on, and so often again if the begin is not recognised. */
    private const HEAD_BYTES = 65_536;

    private const HEAD_CHANGES = 30_000;

    private const HEADS = 6;

    private const HEADING_BYTES = 65_536;

    /** @param  list<FormatCard>  $cards  Serial formats that are looked for. */
    public function __construct(private array $cards)
    {
    }

    /** @throws DocumentError if nothing of the capture can be read. */
    public function decode(Source $source, DecodeOptions $options): Decoding
    {
        if ($source->size() === 0) {
            throw new DocumentError('empty', 'The capture is empty: found 0 bytes; expected bytes, changes or values.', 'capture');
        }
        $kind = $options->kind ?? CaptureKind::of($source);
        $decoding = new Decoding($kind, $options, new Damage);
        match ($kind) {
            CaptureKind::Hex => $this->bytes(new HexReader($source, $decoding->damage), $decoding),
            CaptureKind::Binary => $this->bytes(new BinaryReader($source), $decoding),
            CaptureKind::Csv => $this->table($source, $decoding),
            CaptureKind::Vcd => $this->wire(new VcdReader($source, $decoding->damage), $decoding),
            CaptureKind::Wav => $this->wire(new WavReader($source), $decoding),
        };

        return $decoding;
    }

    /** The reader of a capture that holds wires; null: it holds bytes or values. */
    public static function wires(Source $source, CaptureKind $kind, Damage $damage): ?WireCapture
    {
        $layout = $kind === CaptureKind::Csv ? CsvLayout::of($source->head(self::HEADING_BYTES)) : null;

        return match (true) {
            $kind === CaptureKind::Vcd => new VcdReader($source, $damage),
            $kind === CaptureKind::Wav => new WavReader($source),
            $layout !== null && ! $layout->isChannels => new CsvEdges($source, $layout, $damage),
            default => null,
        };
    }

    private function bytes(ByteCapture $capture, Decoding $decoding): void
    {
        $heads = self::heads($capture->bytes(), static fn (array $chunk): int => strlen($chunk[0]), self::HEAD_BYTES);
        $choice = null;
        foreach ($heads as $chunks) {
            $decoding->firstBytes = $decoding->firstBytes === '' ? implode('', array_column($chunks, 0)) : $decoding->firstBytes;
            $choice = Choice::ofBytes($this->asked($decoding->options), $chunks);
            if ($choice->confidence >= Decoding::RECOGNISED) {
                break;
            }
        }
        if ($choice === null) {
            throw new DocumentError('nothing_readable', self::nothing($decoding->damage, 'bytes'), 'capture');
        }
        $this->take($choice, $decoding);
        $framer = $choice->card === null ? null : Framers::for($choice->card);
        $decoding->bytes = 0;
        // Reading anew finds the same damage anew.
        $decoding->damage->restart();
        foreach ($capture->bytes() as [$bytes, $times]) {
            $decoding->bytes += strlen($bytes);
            if ($framer !== null && $decoding->tally !== null) {
                $framer->push($bytes, $times, $decoding->tally);
            }
        }
        if ($framer !== null && $decoding->tally !== null) {
            $framer->finish($decoding->tally);
        }
        $this->settle($decoding);
    }

    private function table(Source $source, Decoding $decoding): void
    {
        $layout = CsvLayout::of($source->head(self::HEADING_BYTES));
        $decoding->isUnitTold = $layout->isUnitTold;
        if (! $layout->isChannels) {
            $this->wire(new CsvEdges($source, $layout, $decoding->damage), $decoding);

            return;
        }
        $decoding->isLog = true;
        $decoding->confidence = 1;
        $decoding->tally = new FrameTally(null, $decoding->options->frames);
        foreach ((new CsvChannels($source, $layout, $decoding->damage))->rows() as [$us, $values]) {
            $decoding->tally->pulses($values, $us);
        }
        if ($decoding->tally->good === 0) {
            throw new DocumentError('nothing_readable', self::nothing($decoding->damage, 'rows of values'), 'capture');
        }
    }

    private function wire(WireCapture $capture, Decoding $decoding): void
    {
        $decoding->wires = $capture->wires();
        $wire = self::wireAsked($decoding->options->wire, $capture);
        $decoding->wire = $wire;
        $choice = null;
        foreach (self::heads($capture->edges($wire), static fn (Edges $edges): int => count($edges->times), self::HEAD_CHANGES) as $head) {
            $decoding->facts = LineFacts::of($head);
            $choice = Choice::ofEdges($this->asked($decoding->options), $decoding->options->asked(), $head, $decoding->facts);
            if ($choice->confidence >= Decoding::RECOGNISED) {
                break;
            }
        }
        if ($choice === null) {
            throw new DocumentError('nothing_readable', self::nothing($decoding->damage, 'changes of level'), 'capture');
        }
        $this->take($choice, $decoding);
        $decoding->line = $choice->line;
        $decoding->shape = $choice->shape;
        $decoding->firstBytes = $choice->bytes;
        $decoding->damage->restart();
        if ($choice->shape !== null) {
            $this->pulses($capture, $decoding);
        } elseif ($choice->card !== null) {
            $this->serial($capture, $decoding);
        } else {
            // What cannot be decoded is still read, so that its damage is told.
            iterator_count($capture->edges($wire));
        }
        $this->settle($decoding);
    }

    private function pulses(WireCapture $capture, Decoding $decoding): void
    {
        assert($decoding->shape !== null && $decoding->tally !== null && $decoding->wire !== null);
        $reader = $decoding->shape->reader();
        foreach ($capture->edges($decoding->wire) as $edges) {
            $reader->push($edges, $decoding->tally);
        }
        $reader->finish($decoding->tally);
    }

    private function serial(WireCapture $capture, Decoding $decoding): void
    {
        assert($decoding->line !== null && $decoding->card !== null && $decoding->tally !== null && $decoding->wire !== null);
        $decoding->uart = new UartReader($decoding->line);
        $framer = Framers::for($decoding->card);
        foreach ($capture->edges($decoding->wire) as $edges) {
            $framer->push(...[...$decoding->uart->push($edges), $decoding->tally]);
        }
        $framer->push(...[...$decoding->uart->finish(), $decoding->tally]);
        $framer->finish($decoding->tally);
        $decoding->bytes = $decoding->uart->bytes;
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
        if ($decoding->card !== null) {
            $frames = $tally->good + array_sum($tally->others);
            $share = $frames / max(1, $frames + $tally->bad);
            $decoding->confidence = max($decoding->confidence, Score::confidence($decoding->card, $tally->good, $share));
        }
        $isAsked = $decoding->options->asked() !== null && $tally->good > 0;
        if ($decoding->confidence < Decoding::RECOGNISED && ! $isAsked && ! ($decoding->shape !== null && $tally->bad + $tally->good > 0)) {
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

    private static function nothing(Damage $damage, string $expected): string
    {
        $first = $damage->places[0] ?? null;
        $where = $first === null ? '' : (isset($first['line']) ? " Line {$first['line']}" : ' Byte '.($first['byte'] ?? 0)).": found {$first['found']}; expected {$first['expected']}.";

        return "Found no $expected that can be read in the capture.$where";
    }
}
