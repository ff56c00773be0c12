<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Format\Frame;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;

/** Which bytes carry these channel values? */
final readonly class EncodeVerb implements Verb
{
    /** A digital channel is on above this, µs. */
    private const ON_ABOVE_US = Pulse::CENTRE_US;

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
        $value = static fn (int $channel): float => isset($raw[$channel - 1]) ? $card->scale->us((int) $raw[$channel - 1]) : ($us[$channel - 1] ?? self::ON_ABOVE_US);
        $counts = [];
        for ($channel = 1; $channel <= self::sent($card, $told); $channel++) {
            $counts[$channel] = isset($raw[$channel - 1]) ? $card->scale->clip((int) $raw[$channel - 1]) : $card->scale->count($value($channel));
        }
        $flags = self::flags($frame);
        for ($k = 1; $k <= $card->digitalChannels(); $k++) {
            $flags["digital_$k"] = $value($card->mostChannels + $k) > self::ON_ABOVE_US;
        }
        $values = array_filter(['rssi' => $frame->intOrNull('rssi') ?? $rssi], is_int(...));
        $inFrame = $card->channelPart()->node->intOrNull('in_frame') ?? count($counts);

        return array_map(static fn (array $part): Frame => new Frame($part, $flags, $values), array_chunk($counts, max(1, $inFrame), true));
    }

    /** How many channels go out: all of a fixed frame, whole frames of an alternating one, or as many as were told. */
    private static function sent(FormatCard $card, int $told): int
    {
        $inFrame = $card->channelPart()->node->intOrNull('in_frame');
        if ($inFrame !== null) {
            return min($card->mostChannels, $inFrame * max(1, (int) ceil($told / $inFrame)));
        }

        return max($card->fewestChannels, min($card->mostChannels, $told));
    }

    /** @return array<string, bool> */
    private static function flags(Node $frame): array
    {
        $flags = $frame->node('flags');

        return $flags === null ? [] : ['frame_lost' => $flags->flag('frame_lost'), 'failsafe' => $flags->flag('failsafe')];
    }
}
