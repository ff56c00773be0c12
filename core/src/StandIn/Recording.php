<?php

declare(strict_types=1);

namespace Linguator\Core\StandIn;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\EdgeText;
use Linguator\Core\Capture\WavWriter;
use Linguator\Core\Document\DocumentError;

/** What a stand-in sends, written down as a capture of any kind. */
final class Recording
{
    /**
     * @return \Generator<int, string>
     *
     * @throws DocumentError if that kind cannot hold the format.
     */
    public static function of(StandInOptions $options, CaptureKind $kind): \Generator
    {
        $isPulses = $options->card === null;
        if ($isPulses && ($kind === CaptureKind::Binary || $kind === CaptureKind::Hex)) {
            throw DocumentError::at('kind', "Found {$kind->value} for $options->format; pulses have no bytes: expected csv, vcd or wav.");
        }
        if (! $isPulses && $kind === CaptureKind::Wav) {
            throw DocumentError::at('kind', "Found wav for $options->format; a sound card is too slow for serial signals: expected bin, hex, csv or vcd.");
        }
        $standIn = new StandIn($options);

        return match ($kind) {
            CaptureKind::Binary => self::binary($standIn),
            CaptureKind::Hex => self::hex($standIn),
            CaptureKind::Csv => EdgeText::csv($standIn->idle(), $standIn->edges()),
            CaptureKind::Vcd => EdgeText::vcd($standIn->idle(), $standIn->edges()),
            CaptureKind::Wav => WavWriter::write($standIn->idle(), $standIn->edges(), $standIn->lastsUs()),
        };
    }

    /** @return \Generator<int, string> */
    private static function binary(StandIn $standIn): \Generator
    {
        foreach ($standIn->received() as [, $bytes]) {
            yield $bytes;
        }
    }

    /** @return \Generator<int, string> */
    private static function hex(StandIn $standIn): \Generator
    {
        foreach ($standIn->received() as [$us, $bytes]) {
            yield sprintf("%.3F ms: %s\n", $us / 1000, implode(' ', str_split(bin2hex($bytes), 2)));
        }
    }
}
