<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** What a capture shows of a link that was cut: flags, and where the channels went. */
final class FlagEvidence
{
    private const CHANNELS_NAMED = 8;

    public static function sentence(Recognised|ValueLog $decoding): string
    {
        $tally = $decoding->tally;
        $last = implode(', ', array_map(
            static fn (ChannelSummary $channel): string => sprintf('%d at %.0f', $channel->channel, $channel->lastUs),
            array_slice($tally->channels->summaries(), 0, self::CHANNELS_NAMED),
        ));
        $first = $tally->flags->first('failsafe');
        if ($first === null) {
            return "no failsafe flag seen; last values (µs): $last";
        }
        $since = $first->fromUs === null ? "from frame $first->fromFrame" : sprintf('from %.2f s', $first->fromUs / 1e6);

        return "failsafe flag up $since, {$tally->flags->count('failsafe')} frames; last values (µs): $last";
    }
}
