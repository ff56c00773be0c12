<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\Signal\DecodeAnswer;

/** What does this capture say? It takes a capture besides its question. */
final readonly class DecodeVerb implements Verb
{
    public function __construct(private Formats $formats, private Schemas $schemas, private ?Source $capture)
    {
    }

    public static function name(): string
    {
        return Verbs::DECODE;
    }

    public static function summary(): string
    {
        return 'The format, values, timing and faults of a capture: bytes, changes of a wire, a recording or a log of values.';
    }

    public function __invoke(\stdClass $input): object
    {
        $capture = $this->capture ?? throw new DocumentError('no_capture', 'No capture was given; expected a file.', 'capture');

        return new DecodeAnswer((new CaptureDesk($this->formats, $this->schemas))->decode($capture, $input));
    }
}
