<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Line\Edges;

/** A recording as a slow oscilloscope: levels by crossing with hysteresis, times between samples by interpolation. */
final class WavReader implements WireCapture
{
    private const HEADER_BYTES = 65_536;

    private const PCM = 1;

    /** Format code whose sub-format stands further back. */
    private const EXTENSIBLE = 0xFFFE;

    /** Bytes looked at to find where high and low are. */
    private const LEVEL_BYTES = 4_194_304;

    /** Share of samples beyond which high and low are taken: clicks do not count. */
    private const OUTLIERS = 0.01;

    /** The level changes this far beyond the middle, in parts of the swing. */
    private const HYSTERESIS = 0.15;

    /** A swing below this part of full scale is silence. */
    private const SILENCE = 0.02;

    private int $sides;

    private int $bits;

    private float $usPerSample;

    private int $dataAt;

    /** @throws DocumentError if this is no PCM recording of 8, 16 or 24 bits with one or two sides. */
    public function __construct(private readonly Source $source)
    {
        $head = $source->head(self::HEADER_BYTES);
        $at = 12;
        $format = null;
        while ($at + 8 <= strlen($head)) {
            $id = substr($head, $at, 4);
            $size = self::int($head, $at + 4, 4);
            if ($id === 'fmt ') {
                $format = $at + 8;
            } elseif ($id === 'data') {
                break;
            }
            $at += 8 + $size + ($size & 1);
        }
        if ($format === null || $at + 8 > strlen($head) || strlen($head) < $format + 16) {
            throw new DocumentError('truncated', 'Found no '.($format === null ? 'format' : 'samples').' in the first '.strlen($head).' bytes of the recording; expected "fmt " and "data".');
        }
        $code = self::int($head, $format, 2);
        $code = $code === self::EXTENSIBLE ? self::int($head, $format + 24, 2) : $code;
        $this->sides = self::int($head, $format + 2, 2);
        $rate = self::int($head, $format + 4, 4);
        $this->bits = self::int($head, $format + 14, 2);
        $this->dataAt = $at + 8;
        if ($code !== self::PCM || ! in_array($this->bits, [8, 16, 24], true) || $this->sides < 1 || $this->sides > 2 || $rate < 1) {
            throw new DocumentError('not_pcm', "Found a recording of kind $code with {$this->bits} bits, {$this->sides} sides, $rate samples/s; expected plain PCM (kind 1) of 8, 16 or 24 bits, mono or stereo.");
        }
        $this->usPerSample = 1e6 / $rate;
    }

    public function wires(): array
    {
        return $this->sides === 1 ? ['mono'] : ['left', 'right'];
    }

    public function grainUs(): float
    {
        return $this->usPerSample;
    }

    /** The side with the larger swing. */
    public function busiest(): int
    {
        $swings = array_map(function (int $side): int {
            [$low, $high] = $this->levels($side);

            return $high - $low;
        }, range(0, $this->sides - 1));

        return $this->sides === 2 && $swings[1] > $swings[0] ? 1 : 0;
    }

    public function edges(int $wire): \Generator
    {
        [$low, $high] = $this->levels($wire);
        if ($high - $low < self::SILENCE * (1 << $this->bits)) {
            return;
        }
        $middle = ($low + $high) / 2;
        $upper = $middle + self::HYSTERESIS * ($high - $low);
        $lower = $middle - self::HYSTERESIS * ($high - $low);
        [$level, $last, $crossing, $index] = [null, $middle, 0.0, 0];
        foreach ($this->samples($wire) as $samples) {
            $times = [];
            foreach ($samples as $sample) {
                if (($last < $middle) !== ($sample < $middle)) {
                    $crossing = $index - 1 + ($sample === $last ? 0.0 : ($middle - $last) / ($sample - $last));
                }
                if ($sample > $upper ? $level !== 1 : $sample < $lower && $level !== 0) {
                    if ($level !== null) {
                        $times[] = $crossing * $this->usPerSample;
                    }
                    $level = $sample > $upper ? 1 : 0;
                }
                $last = $sample;
                $index++;
            }
            if ($times !== []) {
                yield new Edges((int) $level ^ (count($times) + 1 & 1), $times);
            }
        }
    }

    /** @return array{int, int} Low and high of one side. */
    private function levels(int $side): array
    {
        $seen = [];
        $bytes = 0;
        foreach ($this->samples($side) as $samples) {
            foreach ($samples as $sample) {
                $coarse = $sample >> max(0, $this->bits - 10);
                $seen[$coarse] = ($seen[$coarse] ?? 0) + 1;
            }
            $bytes += count($samples);
            if ($bytes * $this->sides * $this->bits / 8 > self::LEVEL_BYTES) {
                break;
            }
        }
        ksort($seen);
        $skip = array_sum($seen) * self::OUTLIERS;

        return [self::beyond($seen, $skip) << max(0, $this->bits - 10), self::beyond(array_reverse($seen, true), $skip) << max(0, $this->bits - 10)];
    }

    /** @param  array<int, int>  $seen */
    private static function beyond(array $seen, float $skip): int
    {
        foreach ($seen as $value => $count) {
            $skip -= $count;
            if ($skip < 0) {
                return $value;
            }
        }

        return 0;
    }

    /** @return \Generator<int, list<int>> A length in the header that lies does not matter: it is read to the end of the file. */
    private function samples(int $side): \Generator
    {
        $size = $this->sides * intdiv($this->bits, 8);
        $held = '';
        foreach ($this->source->chunks($this->dataAt) as $chunk) {
            $held .= $chunk;
            $whole = strlen($held) - strlen($held) % $size;
            $samples = $this->unpack(substr($held, 0, $whole));
            $held = substr($held, $whole);
            yield $this->sides === 1 ? $samples : self::every($samples, $side);
        }
    }

    /** @return list<int> */
    private function unpack(string $bytes): array
    {
        if ($this->bits === 16) {
            /** @var array<int, int> $words */
            $words = unpack('v*', $bytes);

            return array_map(static fn (int $word): int => $word < 0x8000 ? $word : $word - 0x10000, array_values($words));
        }
        /** @var array<int, int> $all */
        $all = unpack('C*', $bytes);
        if ($this->bits === 8) {
            return array_values($all);
        }
        $samples = [];
        for ($k = 1, $n = count($all); $k + 2 <= $n; $k += 3) {
            $sample = $all[$k] | $all[$k + 1] << 8 | $all[$k + 2] << 16;
            $samples[] = $sample < 0x800000 ? $sample : $sample - 0x1000000;
        }

        return $samples;
    }

    /**
     * @param  list<int>  $samples
     * @return list<int>
     */
    private static function every(array $samples, int $side): array
    {
        $one = [];
        for ($k = $side, $n = count($samples); $k < $n; $k += 2) {
            $one[] = $samples[$k];
        }

        return $one;
    }

    private static function int(string $bytes, int $at, int $size): int
    {
        $value = 0;
        for ($k = 0; $k < $size && isset($bytes[$at + $k]); $k++) {
            $value |= ord($bytes[$at + $k]) << 8 * $k;
        }

        return $value;
    }
}
