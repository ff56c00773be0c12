<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** How long a wire stayed as it was, from change to change, µs. */
final readonly class Stays
{
    /** A stay longer than this many bits is no byte any more. */
    private const LONGEST_RUN = 10.5;

    /** Up to this many times the shortest a stay is one bit. */
    private const SINGLE = 1.75;

    /** Of all stays these shares may be shorter than a bit: glitches. The one that fits best is taken. */
    private const GLITCHES = [0.02, 0.06, 0.12];

    /** Stays that are further from whole bits than this, on average, tell no bit time better than the first guess. */
    private const MISFIT = 0.25;

    private const FEWEST_CHANGES = 8;

    /** @param  list<float>  $all  Sorted. */
    private function __construct(private array $all)
    {
    }

    /** @param  list<float>  $all */
    public static function of(array $all): self
    {
        sort($all);

        return new self($all);
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** The longest one; 0 where there is none. */
    public function longest(): float
    {
        return $this->all[count($this->all) - 1] ?? 0.0;
    }

    /** The shortest ones, glitches apart; null where there is none. */
    public function shortest(): ?float
    {
        return $this->all[(int) (count($this->all) * self::GLITCHES[0])] ?? null;
    }

    /** Those longer than any byte lasts, all together. */
    public function restUs(float $bit): float
    {
        return array_sum($this->rests($bit));
    }

    /** A usual gap between bursts; 0: none was seen. */
    public function between(float $bit): float
    {
        $gaps = $this->rests($bit);

        return $gaps[intdiv(count($gaps), 2)] ?? 0.0;
    }

    /** Whether so long a stay is longer than any byte lasts. */
    public static function isRest(float $stay, float $bit): bool
    {
        return $stay > 2 * self::LONGEST_RUN * $bit;
    }

    /** @return list<float> */
    private function rests(float $bit): array
    {
        return array_values(array_filter($this->all, static fn (float $stay): bool => self::isRest($stay, $bit)));
    }

    /** What the stays are multiples of, µs; null: too few of them. */
    public function bit(): ?float
    {
        $above = new self(array_values(array_filter($this->all, static fn (float $stay): bool => $stay > 0)));
        $count = count($above->all);
        if ($count < self::FEWEST_CHANGES) {
            return null;
        }
        $best = [self::MISFIT, null];
        foreach (self::GLITCHES as $share) {
            $bit = $above->refined($above->all[(int) ($count * $share)]);
            $misfit = $above->misfit($bit);
            if ($misfit < $best[0]) {
                $best = [$misfit, $bit];
            }
        }

        return $best[1] ?? $above->refined($above->all[(int) ($count * self::GLITCHES[0])]);
    }

    /** The bit time that makes stays whole numbers of bits, begun at a guess. */
    private function refined(float $shortest): float
    {
        // A slow analyser sees single bits of different lengths: their mean is what one lasts.
        $single = array_filter($this->all, static fn (float $stay): bool => $stay >= $shortest && $stay < self::SINGLE * $shortest);
        $bit = array_sum($single) / max(1, count($single));
        for ($pass = 0; $pass < 2; $pass++) {
            [$time, $bits] = [0.0, 0];
            foreach ($this->all as $stay) {
                $n = (int) ($stay / $bit + 0.5);
                if ($n > 0 && $stay < self::LONGEST_RUN * $bit) {
                    $time += $stay;
                    $bits += $n;
                }
            }
            $bit = $bits === 0 ? $bit : $time / $bits;
        }

        return $bit;
    }

    /** How far stays of up to ten bits are from whole numbers, on average: 0 to 0.5. Those that are no bits at all count as half a bit. */
    private function misfit(float $bit): float
    {
        [$off, $count] = [0.0, 0];
        foreach ($this->all as $stay) {
            if ($stay < self::LONGEST_RUN * $bit) {
                $bits = $stay / $bit;
                $off += $bits < 0.5 ? 0.5 : abs($bits - round($bits));
                $count++;
            }
        }

        return $count === 0 ? 0.5 : $off / $count;
    }
}
