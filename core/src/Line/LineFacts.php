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

    /** Of all stays this share may be shorter than a bit: glitches. */
    private const GLITCHES = 0.02;

    private const FEWEST_CHANGES = 8;

    /**
     * @param  int  $idle  Level of the longest stay.
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
            $longest[1] >= $longest[0] ? 1 : 0,
            max($longest),
            $all === [] ? null : $all[(int) (count($all) * self::GLITCHES)],
            $bit,
            self::between($all, $bit),
        );
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
        // A slow analyser sees single bits of different lengths: their mean is what one lasts.
        $shortest = $stays[(int) ($count * self::GLITCHES)];
        $single = array_filter($stays, static fn (float $stay): bool => $stay >= $shortest && $stay < self::SINGLE * $shortest);
        $bit = array_sum($single) / count($single);
        for ($pass = 0; $pass < 2; $pass++) {
            [$time, $bits] = [0.0, 0];
            foreach ($stays as $stay) {
                $n = (int) ($stay / $bit + 0.5);
                if ($n > 0 && $stay < self::LONGEST_RUN * $bit) {
                    $time += $stay;
                    $bits += $n;
                }
            }
            $bit = $time / max(1, $bits);
        }

        return $bit > 0 ? $bit : null;
    }

    /** @param  list<float>  $stays  Sorted. */
    private static function between(array $stays, ?float $bit): float
    {
        $gaps = $bit === null ? [] : array_values(array_filter($stays, static fn (float $stay): bool => $stay > 2 * self::LONGEST_RUN * $bit));

        return $gaps === [] ? 0.0 : $gaps[intdiv(count($gaps), 2)];
    }
}
