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
        [$low, $high] = [Stays::of($stays[0]), Stays::of($stays[1])];
        $all = Stays::of([...$stays[0], ...$stays[1]]);
        $bit = $all->bit();

        return new self(
            $all->count() + ($last === null ? 0 : 1),
            self::idleOf($low, $high, $bit),
            $all->longest(),
            $all->shortest(),
            $bit,
            $bit === null ? 0.0 : $all->between($bit),
        );
    }

    /** The level of the longest stays, all of them together: a single lost change may turn one of them round. */
    private static function idleOf(Stays $low, Stays $high, ?float $bit): int
    {
        $rests = $bit === null ? [0.0, 0.0] : [$low->restUs($bit), $high->restUs($bit)];

        return $rests[0] === $rests[1] ? ($high->longest() >= $low->longest() ? 1 : 0) : ($rests[1] > $rests[0] ? 1 : 0);
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
        return $this->bitUs === null || Stays::isRest($this->longestUs, $this->bitUs);
    }
}
