<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** What a capture shows of a link that was cut: flags, and where the channels went. */
final class FlagEvidence
{
    private const CHANNELS_NAMED = 8;

    public static function sentence(Decoding $decoding): string
    {
        $tally = $decoding->tally;
        $count = $tally?->flags->count('failsafe') ?? 0;
        $last = implode(', ', array_map(
            static fn (array $channel): string => sprintf('%d at %.0f', $channel['channel'], $channel['last_us']),
            array_slice($tally?->channels->toArray() ?? [], 0, self::CHANNELS_NAMED),
        ));
        foreach ($tally?->flags->stretches() ?? [] as $stretch) {
            if ($stretch['flag'] === 'failsafe') {
                $since = $stretch['from_us'] === null ? "from frame {$stretch['from_frame']}" : sprintf('from %.2f s', $stretch['from_us'] / 1e6);

                return "failsafe flag up $since, $count frames; last values (µs): $last";
            }
        }

        return "no failsafe flag seen; last values (µs): $last";
    }
}
