<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** Where a channel went from a plateau until it came to rest again, with where it stayed meanwhile. */
final readonly class Way
{
    /** Each side of a sprung stick goes so far at least, as a share of the whole way. */
    private const SIDE = 0.25;

    /** What goes less to the other side than this share of the way goes to one side only. */
    private const ONE_SIDE = 0.08;

    /** The middle of a knob keeps so far from its ends, as a share of the way. */
    private const MIDDLE = 0.15;

    /** Values of a switch lie between two of its levels for no longer (ms, or rows); those of a hand do. */
    private const STEP_MS = 35.0;

    private const STEP_PERIODS = 1.5;

    /** A level stays within this share of the way where the end was not held. */
    private const HELD = 0.02;

    /**
     * @param  list<Plateau>  $away  Where it stayed in between.
     * @param  float  $top  Highest and lowest median of three, µs.
     * @param  bool  $isStepped  From each plateau to the next at once.
     */
    private function __construct(
        public Line $line,
        public Plateau $home,
        public array $away,
        public Plateau $end,
        public float $fromMs,
        public float $toMs,
        public float $top,
        public float $bottom,
        private bool $isStepped,
        private bool $isUpFirst,
        private float $homeUs,
    ) {
    }

    /** @param  list<Plateau>  $away */
    public static function between(Line $line, Plateau $home, array $away, Plateau $end, float $homeUs): ?self
    {
        $leaves = $line->leavesUs();
        [$from, $to, $top, $bottom, $firstUp] = [null, null, $home->us, $home->us, null];
        for ($k = $home->last + 1; $k <= $end->first; $k++) {
            $us = $line->smooth[$k];
            $top = max($top, $us);
            $bottom = min($bottom, $us);
            if (abs($us - $home->us) > $leaves) {
                $from ??= $k;
                $firstUp ??= $us > $home->us;
            }
            if (abs($us - $end->us) > $leaves) {
                $to = $k;
            }
        }
        if ($from === null) {
            return null;
        }

        return new self($line, $home, $away, $end, $line->times[$from], $line->times[min($end->first, ($to ?? $end->first) + 1)], $top, $bottom, self::steps($line, [$home, ...$away, $end]), $firstUp ?? true, $homeUs);
    }

    /**
     * The same ways of one channel, parted anew: each ends where it is whole, not where it came home. What is not whole is the last.
     *
     * @param  non-empty-list<self>  $ways  One after the other.
     * @param  \Closure(self): bool  $isWhole
     * @return list<self>
     */
    public static function apart(array $ways, \Closure $isWhole): array
    {
        $stays = [$ways[0]->home];
        foreach ($ways as $way) {
            array_push($stays, ...$way->away, ...[$way->end]);
        }
        [$parted, $open, $home, $away] = [[], null, $stays[0], []];
        foreach (array_slice($stays, 1) as $stay) {
            $open = self::between($ways[0]->line, $home, $away, $stay, $ways[0]->homeUs);
            $away[] = $stay;
            if ($open !== null && $isWhole($open)) {
                $parted[] = $open;
                [$open, $home, $away] = [null, $stay, []];
            }
        }

        return $open === null ? $parted : [...$parted, $open];
    }

    /** How far it goes from its home, µs. */
    public function swingUs(): float
    {
        return max($this->top - $this->home->us, $this->home->us - $this->bottom);
    }

    /** From a sprung middle to both ends, one after the other, and back. */
    public function isSprung(): bool
    {
        $span = $this->top - $this->bottom;

        return $this->isBack() && ! $this->isStepped && min($this->top - $this->home->us, $this->home->us - $this->bottom) >= self::SIDE * $span;
    }

    /** From one end to the other and back. */
    public function isOneSided(): bool
    {
        return $this->isBack() && ! $this->isStepped && min($this->top - $this->home->us, $this->home->us - $this->bottom) <= max($this->homeUs, self::ONE_SIDE * ($this->top - $this->bottom));
    }

    /** Through so many levels in turn, each at once, and back. */
    public function isStepped(int $positions): bool
    {
        $levels = $this->levels();
        $rising = $levels;
        sort($rising);

        return $this->isBack() && $this->isStepped && count($levels) === $positions && ($levels === $rising || $levels === array_reverse($rising));
    }

    /** To both ends and into the middle. */
    public function isKnob(): bool
    {
        $span = $this->top - $this->bottom;

        return ! $this->isStepped && $this->end->us - $this->bottom >= self::MIDDLE * $span && $this->top - $this->end->us >= self::MIDDLE * $span && $this->wentTo($this->top) && $this->wentTo($this->bottom);
    }

    /** Whether it went to this end after it had left its home: one that only began there was not turned to it. */
    private function wentTo(float $extreme): bool
    {
        return abs($extreme - $this->home->us) > $this->homeUs
            || array_filter($this->away, fn (Plateau $plateau): bool => abs($plateau->us - $extreme) <= $this->homeUs) !== [];
    }

    /** Whether its first way leads to the low end. */
    public function isReversed(): bool
    {
        return ! $this->isUpFirst;
    }

    /** @return list<float> Levels in the order in which they were first reached, µs; home is the first. */
    public function levels(): array
    {
        /** @var list<Plateau> $longest */
        $longest = [];
        foreach ([$this->home, ...$this->away, $this->end] as $plateau) {
            foreach ($longest as $k => $level) {
                if (abs($level->us - $plateau->us) <= $this->line->tolerance) {
                    $longest[$k] = $plateau->lastsMs() > $level->lastsMs() ? $plateau : $level;

                    continue 2;
                }
            }
            $longest[] = $plateau;
        }

        return array_map(static fn (Plateau $plateau): float => $plateau->us, array_values($longest));
    }

    public function low(): WayEnd
    {
        return $this->reached(min($this->stays()), $this->bottom);
    }

    public function high(): WayEnd
    {
        return $this->reached(max($this->stays()), $this->top);
    }

    /** @return non-empty-list<float> Where it stayed, µs. */
    private function stays(): array
    {
        return array_map(static fn (Plateau $plateau): float => $plateau->us, [$this->home, ...$this->away, $this->end]);
    }

    private function reached(float $us, float $extreme): WayEnd
    {
        $isHeld = abs($us - $extreme) <= max($this->line->tolerance, self::HELD * ($this->top - $this->bottom));

        return new WayEnd($isHeld ? $us : $extreme, $isHeld);
    }

    /** Whether it came back to where it began. */
    private function isBack(): bool
    {
        return abs($this->end->us - $this->home->us) <= $this->homeUs;
    }

    /**
     * Whether it is never off its levels for long: a switch jumps, whatever it passes; a hand takes its time.
     *
     * @param  non-empty-list<Plateau>  $plateaus
     */
    private static function steps(Line $line, array $plateaus): bool
    {
        $longest = max(self::STEP_MS, self::STEP_PERIODS * $line->periodMs);
        $leftMs = null;
        for ($k = $plateaus[0]->last + 1, $end = $plateaus[count($plateaus) - 1]->first; $k <= $end; $k++) {
            if (self::isAt($line, $k, $plateaus)) {
                $leftMs = null;

                continue;
            }
            $leftMs ??= $line->times[$k];
            if ($longest < $line->times[$k] - $leftMs) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<Plateau>  $plateaus */
    private static function isAt(Line $line, int $row, array $plateaus): bool
    {
        foreach ($plateaus as $plateau) {
            if (abs($line->values[$row] - $plateau->us) <= $line->tolerance) {
                return true;
            }
        }

        return false;
    }
}
