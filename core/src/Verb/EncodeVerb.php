<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\ChannelFrames;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Format\Frame;
use Linguator\Core\Quantity\Steps;

/** Which bytes carry these channel values? */
final readonly class EncodeVerb implements Verb
{
    public function __construct(private Formats $formats, private Schemas $schemas)
    {
    }

    public static function name(): string
    {
        return 'encode';
    }

    public static function summary(): string
    {
        return 'The bytes of frames that carry these channel values, in a shipped format or one given as a card.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $card = $this->card($node);
        $encoder = new Encoder($card);
        $hex = [];
        $longest = 0;
        foreach ($node->nodes('frames') as $k => $frame) {
            foreach (self::frames($card, $frame, $k, $node->intOrNull('rssi')) as $one) {
                $hex[] = bin2hex($encoder->encode($one));
                $longest = max($longest, strlen($encoder->plain($one)));
            }
        }

        return (object) ['format' => $node->textOrNull('format') ?? $card->id, 'hex' => $hex, 'duration_ms' => Steps::clean($card->durationMs($longest))];
    }

    private function card(Node $node): FormatCard
    {
        $given = $node->node('card');
        if ($given !== null) {
            try {
                return FormatCard::of($given->value, $this->schemas);
            } catch (DocumentError $error) {
                throw $error->inside('card');
            }
        }
        $id = $node->textOrNull('format') ?? throw DocumentError::at('format', 'The key "format" is missing; a format card as "card" does as well.', 'missing_key');
        $kind = $node->intOrNull('kind');
        if ($kind === 10 && $id !== 's115t') {
            throw DocumentError::at('kind', "Found a kind for $id; only s115t has two kinds.");
        }

        return $this->formats->get($kind === 10 ? 's115t-10' : $id) ?? throw DocumentError::at('format', "There is no serial format \"$id\"; expected one of ".implode(', ', $this->formats->ids()).', or a format card as "card".', 'no_such_format');
    }

    /** @return list<Frame> One, or two where channels come in alternating frames. */
    private static function frames(FormatCard $card, Node $frame, int $k, ?int $rssi): array
    {
        $us = $frame->numbersOrNull('us');
        $raw = $frame->numbersOrNull('raw');
        if ($us === null && $raw === null) {
            throw DocumentError::at("frames.$k.us", 'The key "us" is missing.', 'missing_key');
        }
        $told = max(count($us ?? []), count($raw ?? []));
        $most = $card->mostChannels + $card->digitalChannels();
        if ($told > $most) {
            throw DocumentError::at("frames.$k.".(count($raw ?? []) > $most ? 'raw' : 'us'), "Found $told values; $card->id carries at most $most.", 'too_many_channels');
        }
        $counts = array_map(intval(...), $raw ?? []);
        $values = array_filter(['rssi' => $frame->intOrNull('rssi') ?? $rssi], is_int(...));

        return ChannelFrames::of($card, $us ?? [], $counts)->frames([...self::flags($frame), ...ChannelFrames::digital($card, $us ?? [], $counts)], $values);
    }

    /** @return array<string, bool> */
    private static function flags(Node $frame): array
    {
        $flags = $frame->node('flags');

        return $flags === null ? [] : ['frame_lost' => $flags->flag('frame_lost'), 'failsafe' => $flags->flag('failsafe')];
    }
}
