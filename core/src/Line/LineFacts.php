<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** What can be measured on a wire before anything is known of its format. */
final readonly class LineFacts
{
    /** Bauds that are in use. */
    public const BAUDS = [9600, 19200, 38400, 57600, 100000, 115200, 125000, 200000, 230400, 250000, 400000, 416666, 420000, 460800, 921600];

    /** How far a bit time may be from a baud. */
    public const BAUD_TOLERANCE = 0.03;

    /** A stay longer than this many bits is no byte any more. */
    private const LONGEST_RUN = 10.5;

    /** Up to this many times the shortest a stay is one bit. */
    private const SINGLE = 1.75;

    /** Of all stays these shares may be shorter than a bit: glitches. The one that fits best is taken. */
    private const GLITCHES = [0.02, 0.06, 0.12];

    /** Stays that are further from whole bits than this, on average, tell no bit time better than the first guess. */
    private const MISFIT = 0.25;

    private const FEWEST_CHANGES = 8;

    /**
     * @param  int  $idle  Level of the longest stays.
     * @param  float  $longestUs  The longest stay.
     * @param  float|null  $shortestUs  The shortest stays; null: too few changes.
     * @param  float|null  $bitUs  What the stays are multiples of, if they are; null otherwise.
     * @param  float  $betweenUs  A usual gap between bursts; 0: none was seen.
     */
    private function __construct(
        public int $changes,
        public int $idle,
        public float $longestUs,
        public ?float $shortestUs,
        public ?float $bitUs,
        public float $betweenUs,
    ) {
    }

    /** @param  list<Edges>  $head  The begin of a capture. */
    public static function of(array $head): self
    {
        $stays = [[], []];
        $last = null;
        foreach ($head as $edges) {
            $level = $edges->level;
            foreach ($edges->times as $us) {
                if ($last !== null) {
                    $stays[$level ^ 1][] = $us - $last;
                }
                $last = $us;
                $level ^= 1;
            }
        }
        $longest = [$stays[0] === [] ? 0.0 : max($stays[0]), $stays[1] === [] ? 0.0 : max($stays[1])];
        $all = [...$stays[0], ...$stays[1]];
        sort($all);
        $bit = self::bitOf($all);

        return new self(
            count($all) + ($last === null ? 0 : 1),
            self::idleOf($stays, $longest, $bit),
            max($longest),
            $all === [] ? null : $all[(int) (count($all) * self::GLITCHES[0])],
            $bit,
            self::between($all, $bit),
        );
    }

    /**
     * The level of the longest stays, all of them together: a single lost change may turn one of them round.
     *
     * @param  array{list<float>, list<float>}  $stays  By level.
     * @param  array{float, float}  $longest  By level.
     */
    private static function idleOf(array $stays, array $longest, ?float $bit): int
    {
        $rests = array_map(static fn (array $some): float => array_sum(array_filter($some, static fn (float $stay): bool => $bit !== null && $stay > 2 * self::LONGEST_RUN * $bit)), $stays);

        return $rests[0] === $rests[1] ? ($longest[1] >= $longest[0] ? 1 : 0) : ($rests[1] > $rests[0] ? 1 : 0);
    }

    /** The baud in use nearest to the bit time; null: none is near. */
    public function baud(): ?int
    {
        if ($this->bitUs === null) {
            return null;
        }
        $measured = 1e6 / $this->bitUs;
        $near = array_filter(self::BAUDS, static fn (int $baud): bool => abs($measured - $baud) <= $baud * self::BAUD_TOLERANCE);
        usort($near, static fn (int $a, int $b): int => abs($measured - $a) <=> abs($measured - $b));

        return $near[0] ?? null;
    }

    /** Is the idle level beyond doubt: did the wire rest longer than any byte lasts? */
    public function isIdleSure(): bool
    {
        return $this->bitUs === null || $this->longestUs > 2 * self::LONGEST_RUN * $this->bitUs;
    }

    /** @param  list<float>  $stays  Sorted. */
    private static function bitOf(array $stays): ?float
    {
        $stays = array_values(array_filter($stays, static fn (float $stay): bool => $stay > 0));
        $count = count($stays);
        if ($count < self::FEWEST_CHANGES) {
            return null;
        }
        $best = [self::MISFIT, null];
        foreach (self::GLITCHES as $share) {
            $bit = self::refined($stays, $stays[(int) ($count * $share)]);
            $misfit = self::misfit($stays, $bit);
            if ($misfit < $best[0]) {
                $best = [$misfit, $bit];
            }
        }

        return $best[1] ?? self::refined($stays, $stays[(int) ($count * self::GLITCHES[0])]);
    }

    /**
     * The bit time that makes stays whole numbers of bits, begun at a guess.
     *
     * @param  non-empty-list<float>  $stays  Sorted, above 0.
     */
    private static function refined(array $stays, float $shortest): float
    {
        // A slow analyser sees single bits of different lengths: their mean is what one lasts.
        $single = array_filter($stays, static fn (float $stay): bool => $stay >= $shortest && $stay < self::SINGLE * $shortest);
        $bit = array_sum($single) / max(1, count($single));
        for ($pass = 0; $pass < 2; $pass++) {
            [$time, $bits] = [0.0, 0];
            foreach ($stays as $stay) {
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

    /**
     * How far stays of up to ten bits are from whole numbers, on average: 0 to 0.5. Those that are no bits at all count as half a bit.
     *
     * @param  non-empty-list<float>  $stays
     */
    private static function misfit(array $stays, float $bit): float
    {
        [$off, $count] = [0.0, 0];
        foreach ($stays as $stay) {
            if ($stay < self::LONGEST_RUN * $bit) {
                $bits = $stay / $bit;
                $off += $bits < 0.5 ? 0.5 : abs($bits - round($bits));
                $count++;
            }
        }

        return $count === 0 ? 0.5 : $off / $count;
    }

    /** @param  list<float>  $stays  Sorted. */
    private static function between(array $stays, ?float $bit): float
    {
        $gaps = $bit === null ? [] : array_values(array_filter($stays, static fn (float $stay): bool => $stay > 2 * self::LONGEST_RUN * $bit));

        return $gaps === [] ? 0.0 : $gaps[intdiv(count($gaps), 2)];
    }
}
