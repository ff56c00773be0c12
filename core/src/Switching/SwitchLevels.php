<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;

/** What each position of a switch sends: percent x (or a curve), then weight·x/100 + offset, clipped to ±max, then µs. */
final readonly class SwitchLevels
{
    /** @param  list<SwitchLevel>  $levels */
    private function __construct(public array $levels)
    {
    }

    /**
     * @param  int<2, max>  $positions
     * @param  list<float>|null  $curve  One output % per position.
     */
    public static function of(Scale $scale, float $maxPct, int $positions, float $weight = 100.0, float $offset = 0.0, ?array $curve = null): self
    {
        $levels = [];
        for ($k = 0; $k < $positions; $k++) {
            $x = $curve[$k] ?? -100 + 200 * $k / ($positions - 1);
            $percent = Steps::clean(max(-$maxPct, min($maxPct, $weight * $x / 100 + $offset)));
            $levels[] = new SwitchLevel($k + 1, $percent, Steps::clean($scale->us($percent)));
        }

        return new self($levels);
    }

    /**
     * The same percent, with what a channel makes of them.
     *
     * @param  \Closure(float): float  $us  µs for a share of the way, −1 to 1.
     */
    public function through(\Closure $us): self
    {
        return new self(array_map(static fn (SwitchLevel $level): SwitchLevel => new SwitchLevel($level->position, $level->pct, Steps::clean($us($level->pct / 100))), $this->levels));
    }

    /** @param  non-empty-list<float>  $us Levels that were read, by position. */
    public static function measured(Scale $scale, array $us): self
    {
        return new self(array_map(
            static fn (float $level, int $k): SwitchLevel => new SwitchLevel($k + 1, Steps::clean($scale->percent($level)), $level),
            $us,
            array_keys($us),
        ));
    }

    public function count(): int
    {
        return count($this->levels);
    }

    public function us(int $position): float
    {
        return $this->levels[$position - 1]->us;
    }
}
