<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\DecodeOptions;
use Linguator\Core\Signal\Decoder;
use Linguator\Core\Signal\Decoding;

/** What does this capture say? Unlike the other verbs it takes a file; what is told of it beforehand is a document all the same. */
final readonly class DecodeVerb
{
    public const NAME = 'decode';

    public const SUMMARY = 'The format, values, timing and faults of a capture: bytes, changes of a wire, a recording or a log of values.';

    /** @param  list<FormatCard>  $own  The user's formats, looked for like the shipped ones. */
    public function __construct(private Schemas $schemas, private array $own = [])
    {
    }

    /**
     * @param  mixed  $options  A decoded JSON document that fits `verbs/decode.in.json`.
     * @return array<string, mixed> Fits `verbs/decode.out.json`.
     *
     * @throws DocumentError
     */
    public function __invoke(Source $source, mixed $options): array
    {
        return (new DecodeAnswer($this->decoding($source, $this->options($options))))->toArray();
    }

    /** @throws DocumentError */
    public function decoding(Source $source, DecodeOptions $options): Decoding
    {
        return $this->decoder()->decode($source, $options);
    }

    /**
     * What the begin of a capture says of its format.
     *
     * @throws DocumentError
     */
    public function choice(Source $source, DecodeOptions $options): Decoding
    {
        return $this->decoder()->choose($source, $options);
    }

    private function decoder(): Decoder
    {
        return new Decoder([...FormatCards::all(), ...$this->own]);
    }

    /** @throws DocumentError */
    public function options(mixed $document): DecodeOptions
    {
        $node = new Node($this->schemas->check($document, 'verbs/decode.in.json'));
        $as = $node->textOrNull('as');
        $kind = $node->textOrNull('kind');
        $known = ['ppm', 'pwm', ...FormatCards::ids(), ...array_map(static fn (FormatCard $card): string => $card->id, $this->own)];
        if ($as !== null && $as !== 'auto' && ! in_array($as, $known, true)) {
            throw DocumentError::at('as', 'There is no format '.Excerpt::of($as).'; expected auto or one of '.implode(', ', $known).'.', 'no_such_format');
        }

        return new DecodeOptions(
            $kind === null || $kind === 'auto' ? null : CaptureKind::from($kind),
            $as === 'auto' ? null : $as,
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
