<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Pulse;

/** What strikes the eye among the values of a capture: a moving channel that does not go as far as the others do. */
final class Remark
{
    /** Share of bad frames up to which the ends that were seen are the ends that were sent. */
    private const FEW_BAD = 0.02;

    /** By so much an end falls short before it is worth a word. */
    private const SHORT_US = 20.0;

    /** @return string|null One sentence. */
    public static function of(FrameTally $tally): ?string
    {
        if ($tally->bad > self::FEW_BAD * $tally->good || $tally->flags->count('failsafe') > 0) {
            // What was lost may have held the ends, and failsafe values are nobody's stick.
            return null;
        }
        $moving = array_filter($tally->channels->summaries(), static fn (ChannelSummary $channel): bool => $channel->isMovedAllTheWay());
        $low = array_map(static fn (ChannelSummary $channel): float => $channel->minUs - Pulse::LOW_US, $moving);
        $high = array_map(static fn (ChannelSummary $channel): float => Pulse::HIGH_US - $channel->maxUs, $moving);
        $below = self::standsOut($low, $high);
        $above = self::standsOut($high, $low);

        return match (true) {
            $below !== null => sprintf('Channel %d never goes below %.0f µs.', $moving[$below]->channel, $moving[$below]->minUs),
            $above !== null => sprintf('Channel %d never goes above %.0f µs.', $moving[$above]->channel, $moving[$above]->maxUs),
            default => null,
        };
    }

    /**
     * @param  array<int, float>  $short  By how much each falls short of the usual end, µs.
     * @param  array<int, float>  $other  The same of the other end: only where that is reached the stick was moved all the way.
     */
    private static function standsOut(array $short, array $other): ?int
    {
        arsort($short);
        $channel = array_key_first($short);
        [$first, $second] = [array_values($short)[0] ?? 0.0, array_values($short)[1] ?? 0.0];
        $isAlone = $first > self::SHORT_US && $first - max(0.0, $second) > self::SHORT_US;

        return $isAlone && $channel !== null && $other[$channel] <= self::SHORT_US ? $channel : null;
    }
}
