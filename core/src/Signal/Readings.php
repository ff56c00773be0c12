<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** What the values of a capture give for the travel step: where each channel ended and where it rested. */
final class Readings
{
    /** A channel that moves less was not taken to its ends. */
    private const MOVED_US = 200.0;

    /** So near to an end, as a part of the travel, a stick rests there and not in its middle. */
    private const AT_AN_END = 0.1;

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

    /**
     * @param  list<array{float, array<int, float>}>  $rows  As `Series` gives them.
     * @return array<int, array{lo: float, mid: float, hi: float, moved: bool, rested: bool}> By channel, µs; the middle is the median, so a stick must rest more than half the time. One that rests at an end (a throttle) has its middle halfway: it was not measured.
     */
    public static function of(array $rows): array
    {
        $readings = [];
        foreach (array_keys($rows === [] ? [] : $rows[count($rows) - 1][1]) as $channel) {
            $values = array_values(array_filter(array_map(static fn (array $row): ?float => $row[1][$channel] ?? null, $rows), is_float(...)));
            sort($values);
            if ($values === []) {
                continue;
            }
            [$lo, $mid, $hi] = [$values[0], $values[intdiv(count($values), 2)], $values[count($values) - 1]];
            $rested = min($mid - $lo, $hi - $mid) > self::AT_AN_END * ($hi - $lo);
            $mid = $rested ? $mid : ($lo + $hi) / 2;
            $readings[$channel] = ['lo' => Steps::clean($lo), 'mid' => Steps::clean($mid), 'hi' => Steps::clean($hi), 'moved' => $hi - $lo >= self::MOVED_US, 'rested' => $rested];
        }

        return $readings;
    }
}
