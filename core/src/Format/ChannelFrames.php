<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Quantity\Pulse;

/** Channel values as the frames of a format: one, or two where channels come in alternating frames. */
final readonly class ChannelFrames
{
    /** A digital channel is on above this, µs. */
    private const ON_ABOVE_US = Pulse::CENTRE_US;

    /** @param  array<int, int>  $counts  By channel, from 1. */
    private function __construct(private FormatCard $card, public array $counts, private int $told)
    {
    }

    /**
     * Channels beyond those told go out at their centre.
     *
     * @param  list<float>  $us  From channel 1 on.
     * @param  list<int>  $raw  Counts that go before µs; none where those are told.
     */
    public static function of(FormatCard $card, array $us, array $raw = []): self
    {
        $told = max(count($us), count($raw));
        $counts = [];
        for ($channel = 1; $channel <= self::sent($card, $told); $channel++) {
            $counts[$channel] = isset($raw[$channel - 1]) ? $card->scale->clip($raw[$channel - 1]) : $card->scale->count($us[$channel - 1] ?? self::ON_ABOVE_US);
        }

        return new self($card, $counts, $told);
    }

    /** How many were told, of those that this format counts. */
    public function told(): int
    {
        return min($this->told, count($this->counts));
    }

    /**
     * @param  array<string, bool>  $flags
     * @param  array<string, int>  $values  Named bytes.
     * @return list<Frame>
     */
    public function frames(array $flags, array $values = []): array
    {
        $inFrame = $this->card->channelPart()->node->intOrNull('in_frame') ?? count($this->counts);

        return array_map(static fn (array $part): Frame => new Frame($part, $flags, $values), array_chunk($this->counts, max(1, $inFrame), true));
    }

    /**
     * The on/off channels behind the others, as flags.
     *
     * @param  list<float>  $us  From channel 1 on.
     * @param  list<int>  $raw
     * @return array<string, bool>
     */
    public static function digital(FormatCard $card, array $us, array $raw = []): array
    {
        $flags = [];
        for ($k = 1; $k <= $card->digitalChannels(); $k++) {
            $at = $card->mostChannels + $k - 1;
            $flags["digital_$k"] = (isset($raw[$at]) ? $card->scale->us($raw[$at]) : $us[$at] ?? self::ON_ABOVE_US) > self::ON_ABOVE_US;
        }

        return $flags;
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
}
