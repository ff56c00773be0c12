<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Line\PulseShape;

/** Decodes captures with the formats known at this bench, as told by a document that fits `verbs/decode.in.json`. */
final readonly class CaptureDesk
{
    private const AUTO = 'auto';

    public function __construct(private Formats $formats, private Schemas $schemas)
    {
    }

    /** @throws DocumentError if nothing of the capture can be read, or the options say something impossible. */
    public function decode(Source $source, \stdClass $options): Recognised|ValueLog|Unrecognised
    {
        return (new Decoder($this->formats->all()))->decode($source, $this->options($options));
    }

    /**
     * What its begin shows only.
     *
     * @throws DocumentError as `decode`.
     */
    public function begin(Source $source, \stdClass $options): Begin
    {
        return (new Decoder($this->formats->all()))->begin($source, $this->options($options));
    }

    private function options(\stdClass $document): DecodeOptions
    {
        $node = new Node($this->schemas->check($document, 'verbs/decode.in.json'));
        [$as, $kind] = [$node->textOrNull('as'), $node->textOrNull('kind')];
        $known = [...PulseShape::NAMES, ...$this->formats->ids()];
        if ($as !== null && $as !== self::AUTO && ! in_array($as, $known, true)) {
            throw DocumentError::at('as', 'There is no format '.Excerpt::of($as).'; expected auto or one of '.implode(', ', $known).'.', 'no_such_format');
        }

        return new DecodeOptions(
            $kind === null || $kind === self::AUTO ? null : CaptureKind::from($kind),
            $as === self::AUTO ? null : $as,
            $node->has('card') ? $this->card($node->get('card')) : null,
            $node->textOrNull('line'),
            $node->intOrNull('frames') ?? DecodeOptions::SHOWN_FRAMES,
            $node->numberOrNull('max_rate'),
        );
    }

    private function card(mixed $document): FormatCard
    {
        try {
            return FormatCard::of($document, $this->schemas);
        } catch (DocumentError $error) {
            throw $error->inside('card');
        }
    }
}
