<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Line\Edges;

/** The changes of a wire as a recording: each sample is the mean level over its time, so that edges between samples can be found again. */
final class WavWriter
{
    public const RATE = 48_000;

    /** Ten minutes: 58 MB. Time costs as much as signal here, and a slip in a time costs the disk. */
    public const LONGEST_US = 600e6;

    private const HIGH = 20_000;

    private const BYTES_PER_SAMPLE = 2;

    /** Samples are handed on in lots. */
    private const LOT = 16_384;

    /**
     * Mono, 16 bits.
     *
     * @param  int  $idle  Level before the first change.
     * @param  iterable<Edges>  $edges
     * @param  float  $lastUs  Where the recording ends.
     * @return \Generator<int, string>
     */
    public static function write(int $idle, iterable $edges, float $lastUs): \Generator
    {
        $perSample = 1e6 / self::RATE;
        $count = (int) ceil($lastUs / $perSample);
        yield self::header($count);
        [$level, $sample, $high, $since, $lot] = [$idle, 0, 0.0, 0.0, ''];
        foreach (self::changes($edges, $count * $perSample) as $us) {
            // Whole samples up to the change, then the part of the one it falls into.
            while (($sample + 1) * $perSample <= $us && $sample < $count) {
                $high += $level * (($sample + 1) * $perSample - $since);
                $lot .= pack('v', (int) round(self::HIGH * (2 * $high / $perSample - 1)) & 0xFFFF);
                [$since, $high] = [++$sample * $perSample, 0.0];
                if (strlen($lot) >= self::LOT) {
                    yield $lot;
                    $lot = '';
                }
            }
            $high += $level * max(0.0, $us - $since);
            $since = $us;
            $level ^= 1;
        }
        yield $lot;
    }

    /**
     * @param  iterable<Edges>  $edges
     * @return \Generator<int, float> The changes, and the end as a last one.
     */
    private static function changes(iterable $edges, float $end): \Generator
    {
        foreach ($edges as $some) {
            foreach ($some->times as $us) {
                yield $us;
            }
        }
        yield $end;
    }

    private static function header(int $samples): string
    {
        $bytes = $samples * self::BYTES_PER_SAMPLE;

        return 'RIFF'.pack('V', 36 + $bytes).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, self::RATE, self::RATE * self::BYTES_PER_SAMPLE, self::BYTES_PER_SAMPLE, 8 * self::BYTES_PER_SAMPLE).'data'.pack('V', $bytes);
    }
}
