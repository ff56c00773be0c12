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
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseShape;
use Linguator\Core\Line\PulseSink;
use Linguator\Core\Line\UartReader;

/** Goes through a capture by what has been found in it, frame by frame. */
final readonly class Walk
{
    private const HEADING_BYTES = 65_536;

    /** So many bytes from the begin say whether the parity is that of the line. */
    private const PARITY_BYTES = 4000;

    private const MISFIT_SHARE = 0.5;

    /** @throws DocumentError if the capture cannot be read at all. */
    public static function reader(Source $source, CaptureKind $kind, Damage $damage): ByteCapture|WireCapture|CsvChannels
    {
        return match ($kind) {
            CaptureKind::Hex => new HexReader($source, $damage),
            CaptureKind::Binary => new BinaryReader($source),
            CaptureKind::Vcd => new VcdReader($source, $damage),
            CaptureKind::Wav => new WavReader($source),
            CaptureKind::Csv => self::table($source, CsvLayout::of($source->head(self::HEADING_BYTES)), $damage),
        };
    }

    /** @throws DocumentError if the heading cannot be read. */
    public static function layout(Source $source): CsvLayout
    {
        return CsvLayout::of($source->head(self::HEADING_BYTES));
    }

    /** Hands every frame to a sink, by what carries it. */
    public static function through(ByteCapture|WireCapture|CsvChannels $capture, Carrier $carrier, FrameSink&PulseSink $sink): Passage
    {
        return match (true) {
            $capture instanceof CsvChannels => self::values($capture, $sink),
            $capture instanceof ByteCapture => self::bytes($capture, $carrier->card, $sink),
            $carrier->shape !== null => self::pulses($capture, $carrier->wire, $carrier->shape, $sink),
            $carrier->card !== null => self::serial($capture, $carrier->wire, $carrier->card, $carrier->line ?? LineSetting::of($carrier->card), $sink),
            default => self::unread($capture, $carrier->wire),
        };
    }

    private static function table(Source $source, CsvLayout $layout, Damage $damage): WireCapture|CsvChannels
    {
        return $layout->isChannels ? new CsvChannels($source, $layout, $damage) : new CsvEdges($source, $layout, $damage);
    }

    private static function values(CsvChannels $capture, PulseSink $sink): Passage
    {
        foreach ($capture->rows() as $row) {
            $sink->pulses($row);
        }

        return new Passage;
    }

    private static function bytes(ByteCapture $capture, ?FormatCard $card, FrameSink $sink): Passage
    {
        $framer = $card === null ? null : Framers::for($card);
        $count = 0;
        foreach ($capture->bytes() as $some) {
            $count += strlen($some->bytes);
            $framer?->push($some, $sink);
        }
        $framer?->finish($sink);

        return new Passage($count);
    }

    private static function pulses(WireCapture $capture, int $wire, PulseShape $shape, PulseSink $sink): Passage
    {
        $reader = $shape->reader();
        foreach ($capture->edges($wire) as $edges) {
            $reader->push($edges, $sink);
        }
        $reader->finish($sink);

        return new Passage;
    }

    /** What cannot be decoded is still read, so that its damage is told. */
    private static function unread(WireCapture $capture, int $wire): Passage
    {
        iterator_count($capture->edges($wire));

        return new Passage;
    }

    /** Whether the bytes have the parity of the line, some spoilt ones apart. Where they have another or none at all, that is the finding, not each frame. */
    private static function parityHolds(WireCapture $capture, LineSetting $line, int $wire): bool
    {
        if ($line->parity === 'none') {
            return false;
        }
        $uart = new UartReader($line);
        foreach ($capture->edges($wire) as $edges) {
            $uart->push($edges);
            if ($uart->bytes > self::PARITY_BYTES) {
                break;
            }
        }

        return $uart->parityErrors < self::MISFIT_SHARE * max(1, $uart->bytes);
    }

    private static function serial(WireCapture $capture, int $wire, FormatCard $card, LineSetting $line, FrameSink $sink): Passage
    {
        $isGuarded = self::parityHolds($capture, $line, $wire);
        $uart = new UartReader($line, $isGuarded);
        $sink = $isGuarded ? new ParityGuard($uart, $sink) : $sink;
        $framer = Framers::for($card);
        foreach ($capture->edges($wire) as $edges) {
            $framer->push($uart->push($edges), $sink);
        }
        $framer->push($uart->finish(), $sink);
        $framer->finish($sink);

        return new Passage($uart->bytes, $uart);
    }
}
