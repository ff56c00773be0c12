<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\ByteCapture;
use Linguator\Core\Capture\CsvChannels;
use Linguator\Core\Capture\WireCapture;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameAnatomy;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseShape;
use Linguator\Core\Line\UartReader;
use Linguator\Core\Line\UartWriter;

/** A stretch of a capture as a waveform: its changes, or where there are too many how much changes; with bytes and fields where they can be told apart. */
final readonly class Window
{
    /** More changes than this cannot be told apart on a screen. */
    private const MOST_CHANGES = 3000;

    private const SPANS = 600;

    /** Bytes are named in stretches of up to so many frames. */
    private const NAMED_FRAMES = 8;

    private Carrier $carrier;

    public function __construct(private Begin $begin, private float $fromUs, private float $toUs)
    {
        $this->carrier = $begin->carrier();
    }

    public function of(ByteCapture|WireCapture|CsvChannels $capture): \stdClass
    {
        [$before, $level, $changes, $counts, $inside] = [null, null, [], array_fill(0, self::SPANS, 0), []];
        $width = max(1e-6, ($this->toUs - $this->fromUs) / self::SPANS);
        foreach ($this->edges($capture) as $edges) {
            $count = count($edges->times);
            if ($count === 0) {
                continue;
            }
            if ($edges->times[$count - 1] < $this->fromUs) {
                $before = $edges->lastLevel();

                continue;
            }
            if ($edges->times[0] > $this->toUs) {
                $before ??= $edges->level ^ 1;
                break;
            }
            $inside[] = $edges;
            foreach ($edges->times as $k => $us) {
                if ($us < $this->fromUs) {
                    $before = $edges->level ^ $k & 1;
                } elseif ($us <= $this->toUs) {
                    $level ??= $edges->level ^ $k & 1 ^ 1;
                    $counts[min(self::SPANS - 1, (int) (($us - $this->fromUs) / $width))]++;
                    if (count($changes) <= self::MOST_CHANGES) {
                        $changes[] = round($us, 4);
                    }
                }
            }
            if (count($changes) > self::MOST_CHANGES) {
                $inside = [];
            }
        }
        $isDense = count($changes) > self::MOST_CHANGES;

        return (object) [
            'from_us' => $this->fromUs,
            'to_us' => $this->toUs,
            'level' => $level ?? $before ?? $this->idle(),
            'edges' => $isDense ? null : $changes,
            'spans' => $isDense ? array_map(fn (int $n, int $k): array => ['us' => $this->fromUs + $k * $width, 'changes' => $n], $counts, array_keys($counts)) : null,
            'bytes' => $isDense ? [] : $this->bytes($inside),
            'drawn' => ! $capture instanceof WireCapture,
        ];
    }

    private function idle(): int
    {
        $line = $this->carrier->lineOrUsual();

        return $line === null ? ($this->begin->facts->idle ?? 0) : ($line->isInverted ? 0 : 1);
    }

    /** @return iterable<Edges> */
    private function edges(ByteCapture|WireCapture|CsvChannels $capture): iterable
    {
        if ($capture instanceof WireCapture) {
            return $capture->edges($this->carrier->wire);
        }

        return $capture instanceof ByteCapture && $this->carrier->card !== null ? $this->drawn($capture, $this->carrier->card) : [];
    }

    /** @return \Generator<int, Edges> */
    private function drawn(ByteCapture $capture, FormatCard $card): \Generator
    {
        $line = LineSetting::of($card);
        $writer = new UartWriter($line);
        $pick = new FramePick(0, PHP_INT_MAX);
        $clock = new FrameClock($card);
        $framer = Framers::for($card);
        foreach (self::withEnd($capture) as $chunk) {
            $chunk === null ? $framer->finish($pick) : $framer->push($chunk, $pick);
            foreach ($pick->picked as $one) {
                $wire = (string) $one->bytes;
                yield $writer->write($card->stuffing?->add($wire) ?? $wire, $clock->at($one->index, $one->us));
            }
            $pick->picked = [];
        }
    }

    /** @return \Generator<int, TimedBytes|null> The bytes, then null. */
    private static function withEnd(ByteCapture $capture): \Generator
    {
        foreach ($capture->bytes() as $chunk) {
            yield $chunk;
        }
        yield null;
    }

    /**
     * Bytes of the window and what each is in its frame.
     *
     * @param  list<Edges>  $inside
     * @return list<array{us: float, to_us: float, hex: string, name: string}>
     */
    private function bytes(array $inside): array
    {
        $card = $this->carrier->card;
        if ($this->carrier->shape !== null) {
            return $this->pulses($this->carrier->shape, $inside);
        }
        $line = $this->carrier->lineOrUsual() ?? $this->begin->unknownLine;
        if ($line === null || $inside === []) {
            return [];
        }
        $uart = new UartReader($line);
        $read = TimedBytes::join(...array_map($uart->push(...), $inside), ...[$uart->finish()]);
        $names = $card === null ? [] : $this->names($card, $read);
        $named = [];
        foreach ($read->times as $k => $us) {
            if ($us + $line->byteUs() >= $this->fromUs && $us <= $this->toUs) {
                $named[] = ['us' => round($us, 4), 'to_us' => round($us + $line->byteUs(), 4), 'hex' => bin2hex($read->bytes[$k]), 'name' => $names[$k] ?? ''];
            }
        }

        return $named;
    }

    /**
     * Channels of the window where pulses carry them.
     *
     * @param  list<Edges>  $inside
     * @return list<array{us: float, to_us: float, hex: string, name: string}>
     */
    private function pulses(PulseShape $shape, array $inside): array
    {
        $reader = $shape->reader();
        $pick = new FramePick(0, PHP_INT_MAX);
        foreach ($inside as $edges) {
            $reader->push($edges, $pick);
        }
        $reader->finish($pick);
        $named = [];
        foreach ($pick->picked as $one) {
            $at = (float) $one->us;
            foreach ($one->widths as $channel => $ns) {
                if ($at + $ns / 1000 >= $this->fromUs && $at <= $this->toUs) {
                    $named[] = ['us' => $at, 'to_us' => $at + $ns / 1000, 'hex' => (string) round($ns / 1000), 'name' => "channel $channel"];
                }
                $at += $ns / 1000;
            }
        }

        return $named;
    }

    /** @return array<int, string> By position of the byte. */
    private function names(FormatCard $card, TimedBytes $read): array
    {
        $pick = new FramePick(0, self::NAMED_FRAMES);
        try {
            $framer = Framers::for($card);
            $framer->push($read, $pick);
            $framer->finish($pick);
        } catch (Enough) {
            // The first frames are enough to be named.
        }
        $anatomy = new FrameAnatomy($card);
        $names = [];
        foreach ($pick->picked as $one) {
            $at = (int) $one->offset;
            foreach ($anatomy->fields((string) $one->bytes) as $field) {
                for ($k = 0; $k < $field['bytes']; $k++) {
                    // An escape and the byte behind it are one.
                    if ($card->stuffing !== null && $field['from'] > 0 && isset($read->bytes[$at]) && ord($read->bytes[$at]) === $card->stuffing->escape) {
                        $names[$at++] = 'escape';
                    }
                    $names[$at++] = $field['name'];
                }
            }
        }

        return $names;
    }
}
