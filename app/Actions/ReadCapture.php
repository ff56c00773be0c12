<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Capture;
use Linguator\Core\Capture\ByteCapture;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\CsvChannels;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\WireCapture;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Format\FrameSink;
use Linguator\Core\Line\PulseSink;
use Linguator\Core\Signal\Begin;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\Signal\Carrier;
use Linguator\Core\Signal\Enough;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\Series;
use Linguator\Core\Signal\Unrecognised;
use Linguator\Core\Signal\ValueLog;
use Linguator\Core\Signal\ValueRows;
use Linguator\Core\Signal\Walk;

/** Reads a capture of the desk, by the verb `decode` and by its parts. */
final readonly class ReadCapture
{
    public function __construct(private CaptureDesk $desk, private Formats $formats)
    {
    }

    /** @throws DocumentError */
    public function decode(Capture $capture, \stdClass $options, ?DecodeProgress $progress = null): Recognised|ValueLog|Unrecognised
    {
        $tell = $progress === null ? null : static fn (int $bytes) => $progress->at($bytes, $capture->size);

        return $this->desk->decode(new Source($capture->stream(), $tell), $options);
    }

    /**
     * All of it, where it has values.
     *
     * @throws DocumentError as `decode`, and if it is not recognised.
     */
    public function values(Capture $capture, \stdClass $options): Recognised|ValueLog
    {
        return $this->decode($capture, $options)->withValues($capture->name);
    }

    /**
     * What its begin shows only.
     *
     * @throws DocumentError
     */
    public function begin(Capture $capture, \stdClass $options): Begin
    {
        return $this->desk->begin(new Source($capture->stream()), $options);
    }

    public function reader(Capture $capture, CaptureKind $kind): ByteCapture|WireCapture|CsvChannels
    {
        return Walk::reader(new Source($capture->stream()), $kind, new Damage);
    }

    /** Hands the frames of a capture to a sink, until it has enough. */
    public function walk(Capture $capture, CaptureKind $kind, Carrier $carrier, FrameSink&PulseSink $sink): void
    {
        try {
            Walk::through($this->reader($capture, $kind), $carrier, $sink);
        } catch (Enough) {
            return;
        }
    }

    /** At most so many rows. */
    public function series(Capture $capture, Recognised|ValueLog $decoding, int $most): ValueRows
    {
        $series = Series::of($decoding->carrier(), $most);
        $this->walk($capture, $decoding->begin->kind, $decoding->carrier(), $series);

        return $series->rows();
    }

    /** @throws DocumentError if there is no such serial format. */
    public function card(string $id): FormatCard
    {
        return $this->formats->get($id) ?? throw DocumentError::at('format', "There is no serial format \"$id\".", 'no_such_format');
    }
}
