<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Switching\SwitchLevel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ServoRange;

/** A servo that a switch, slider or knob drives: it stands no more than one on a stick (rule T1). */
final readonly class ServoOnSwitch
{
    public function __construct(private SwitchSetting $switch, private ServoRange $range)
    {
    }

    /** Null: every position lies inside, or nothing is known of the servo. */
    public function finding(): ?Finding
    {
        $levels = array_map(static fn (SwitchLevel $level): float => $level->us, $this->switch->levels()->levels);
        sort($levels);
        $ends = Reading::predicted($levels[0], $levels[intdiv(count($levels), 2)], $levels[count($levels) - 1]);

        return $this->range->judge($this->switch->function, $ends, $this->switch->measured === null ? 'would be' : 'is', $this->change($ends));
    }

    public function shown(): ServoOnSwitchView
    {
        return new ServoOnSwitchView(
            $this->switch->channel,
            $this->switch->function,
            $this->switch->switchId,
            $this->switch->levels()->levels,
            $this->switch->measured !== null,
            $this->switch->set(),
            $this->range,
            Findings::of($this->finding()),
        );
    }

    private function change(Reading $ends): string
    {
        if ($this->switch->measured !== null) {
            return 'Lower the weight, or the ends of this channel, before the link is powered again; then read every position anew.';
        }
        $weight = $this->switch->offset === 0.0 ? $this->weightThatFits($ends) : null;

        return $weight === null
            ? 'Lower weight and offset until every position lies inside.'
            : sprintf('Lower the weight to %g %%.', $weight);
    }

    /** The largest whole weight (%) at which every position lies inside; null: none does. */
    private function weightThatFits(Reading $ends): ?float
    {
        $scale = $this->switch->scale();
        $below = $this->range->lo === null || $ends->lo >= $scale->centre ? 1.0 : ($scale->centre - $this->range->lo) / ($scale->centre - $ends->lo);
        $above = $this->range->hi === null || $ends->hi <= $scale->centre ? 1.0 : ($this->range->hi - $scale->centre) / ($ends->hi - $scale->centre);
        $weight = Steps::below(max(0.0, min($below, $above)) * min(abs($this->switch->weight), $this->percentReached()), 1.0);

        return $weight > 0.0 ? ($this->switch->weight < 0 ? -$weight : $weight) : null;
    }

    /** Beyond the handset's limit more weight moves nothing: what counts is what is left of it (%). */
    private function percentReached(): float
    {
        $percent = self::largest(array_map(static fn (SwitchLevel $level): float => $level->pct, $this->switch->levels()->levels));
        $curve = $this->switch->curve === null ? 100.0 : self::largest($this->switch->curve);

        return $curve > 0.0 ? $percent / $curve * 100 : 0.0;
    }

    /** @param  list<float>  $percents */
    private static function largest(array $percents): float
    {
        return max(0.0, ...array_map(abs(...), $percents));
    }
}
