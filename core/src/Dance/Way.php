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

    /** A switch is between two levels for no longer (ms, or rows); a hand needs more. */
    private const STEP_MS = 60.0;

    private const STEP_PERIODS = 2.9;

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

    /** This one and those after it, as one. */
    public function joined(self $next): self
    {
        $away = [...$this->away, $this->end, ...$next->away];
        $steps = self::steps($this->line, [$this->home, ...$away, $next->end]);

        return new self($this->line, $this->home, $away, $next->end, $this->fromMs, $next->toMs, max($this->top, $next->top), min($this->bottom, $next->bottom), $steps, $this->isUpFirst, $this->homeUs);
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

        return ! $this->isStepped && $this->end->us - $this->bottom >= self::MIDDLE * $span && $this->top - $this->end->us >= self::MIDDLE * $span && $this->endsHeldApart();
    }

    /** Whether it was both high and low, not only on its way from one to the middle. */
    private function endsHeldApart(): bool
    {
        $reached = array_map(static fn (Plateau $plateau): float => $plateau->us, $this->away);

        return count($this->away) >= 2 || ($this->away !== [] && max($reached) - min([...$reached, $this->bottom]) > $this->homeUs);
    }

    /** Whether its first way leads to the low end. */
    public function isReversed(): bool
    {
        return ! $this->isUpFirst;
    }

    /** @return list<float> Levels in the order in which they were first reached, µs; home is the first. */
    public function levels(): array
    {
        $levels = [];
        foreach ([$this->home, ...$this->away, $this->end] as $plateau) {
            foreach ($levels as $k => $members) {
                if (abs($members[0]->us - $plateau->us) <= $this->line->tolerance) {
                    $levels[$k][] = $plateau;

                    continue 2;
                }
            }
            $levels[] = [$plateau];
        }

        return array_map(self::level(...), $levels);
    }

    public function low(): WayEnd
    {
        return $this->reached(min(...), $this->bottom);
    }

    public function high(): WayEnd
    {
        return $this->reached(max(...), $this->top);
    }

    /** @param  \Closure(float ...): float  $furthest */
    private function reached(\Closure $furthest, float $extreme): WayEnd
    {
        $us = $furthest(...array_map(static fn (Plateau $plateau): float => $plateau->us, [$this->home, ...$this->away, $this->end]));
        $isHeld = abs($us - $extreme) <= max($this->line->tolerance, self::HELD * ($this->top - $this->bottom));

        return new WayEnd($isHeld ? $us : $extreme, $isHeld);
    }

    /** Whether it came back to where it began. */
    private function isBack(): bool
    {
        return abs($this->end->us - $this->home->us) <= $this->homeUs;
    }

    /**
     * The value of several stays at one level: that of the longest.
     *
     * @param  non-empty-list<Plateau>  $plateaus
     */
    private static function level(array $plateaus): float
    {
        usort($plateaus, static fn (Plateau $a, Plateau $b): int => $b->lastsMs() <=> $a->lastsMs());

        return $plateaus[0]->us;
    }

    /**
     * Whether it is never off its levels for long: a switch jumps, whatever it passes; a hand takes its time.
     *
     * @param  non-empty-list<Plateau>  $plateaus
     */
    private static function steps(Line $line, array $plateaus): bool
    {
        $longest = max(self::STEP_MS, self::STEP_PERIODS * $line->periodMs);
        $lastMs = $plateaus[0]->toMs;
        for ($k = $plateaus[0]->last + 1, $end = $plateaus[count($plateaus) - 1]->first; $k <= $end; $k++) {
            foreach ($plateaus as $plateau) {
                if (abs($line->values[$k] - $plateau->us) <= $line->tolerance) {
                    if ($line->times[$k] - $lastMs > $longest) {
                        return false;
                    }
                    $lastMs = $line->times[$k];

                    break;
                }
            }
        }

        return true;
    }
}
