<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** What the values of a capture give for the travel step: where each channel ended and where it rested. */
final class Readings
{
    /** A stick that never rests for a second shows its movement, not its noise. */
    private const MOST_NOISE_US = 5.0;

    /** @return array<int, float> Noise by channel, µs, where it can be told from movement. */
    public static function noise(Recognised|ValueLog $decoding): array
    {
        $noise = [];
        foreach ($decoding->tally->channels->summaries() as $channel) {
            if ($channel->noiseUs !== null && $channel->noiseUs <= self::MOST_NOISE_US) {
                $noise[$channel->channel] = $channel->noiseUs;
            }
        }

        return $noise;
    }

    /** @return array<int, StickReading> By channel. */
    public static function of(ValueRows $rows): array
    {
        $readings = [];
        foreach ($rows->channels() as $channel) {
            $values = $rows->of($channel);
            if ($values !== []) {
                $readings[$channel] = StickReading::of($values);
            }
        }

        return $readings;
    }
}
