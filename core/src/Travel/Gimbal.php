<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Quantity\Scale;

/**
 * One channel as the readings show it to be: its centre C without sub-trim, and what 100 % is worth on each side (µs).
 *
 * For `before` the sides are G/p: what 100 % of end point makes of a full stick.
 */
final readonly class Gimbal
{
    private function __construct(private HandsetTravel $handset, public float $centre, public float $lowSide, public float $highSide)
    {
    }

    /**
     * From three readings at known settings (rule T).
     *
     * @throws DocumentError at `settings.subtrim` below the path given, if the sub-trim cannot be what it is said to be.
     */
    public static function seen(HandsetTravel $handset, Reading $at, ChannelSettings $with, string $path = ''): self
    {
        [$p, $q] = [$with->loPct / 100, $with->hiPct / 100];
        $shift = $handset->usPerUnit * $with->subtrim;
        [$centre, $low, $high] = match ($handset->model) {
            SubtrimModel::After => [$at->mid - $shift, $at->mid - $at->lo, $at->hi - $at->mid],
            SubtrimModel::Pivot => [$at->mid - $shift, $at->mid - $shift - $at->lo, $at->hi - $at->mid + $shift],
            SubtrimModel::Before => self::before($at, $with->subtrim / 100, $path),
        };
        if ($low <= 0 || $high <= 0) {
            throw self::impossible($with->subtrim, $path);
        }

        return new self($handset, $centre, $low / $p, $high / $q);
    }

    /** What a channel should be by the handset's card, before anything is read: 100 % is worth the same on both sides. */
    public static function nominal(HandsetTravel $handset, Scale $scale): self
    {
        return new self($handset, $scale->centre, $scale->usPer100, $scale->usPer100);
    }

    /** The direction turned round: the centre stays, the sides change places. */
    public function reversed(): self
    {
        return new self($this->handset, $this->centre, $this->highSide, $this->lowSide);
    }

    public function predict(ChannelSettings $set): Reading
    {
        [$low, $high] = [$this->lowSide * $set->loPct / 100, $this->highSide * $set->hiPct / 100];
        $shift = $this->handset->usPerUnit * $set->subtrim;
        if ($this->handset->model === SubtrimModel::Before) {
            $s = $set->subtrim / 100;

            return Reading::predicted($this->centre - $low * (1 - $s), $this->centre + ($s >= 0 ? $high : $low) * $s, $this->centre + $high * (1 + $s));
        }
        $ends = $this->handset->model === SubtrimModel::After ? $this->centre + $shift : $this->centre;

        return Reading::predicted($ends - $low, $this->centre + $shift, $ends + $high);
    }

    /**
     * What a control in between makes of it, µs: a stick, a switch or a knob at this share of its way.
     *
     * @param  float  $share  −1 at its low end, 1 at its high end; beyond where the handset lets it.
     */
    public function at(ChannelSettings $set, float $share): float
    {
        $share = $set->reversed ? -$share : $share;
        if ($this->handset->model === SubtrimModel::Before) {
            $share += $set->subtrim / 100;

            return $this->centre + $share * ($share < 0 ? $this->lowSide * $set->loPct : $this->highSide * $set->hiPct) / 100;
        }

        return $this->predict($set)->at($share);
    }

    /** The sub-trim that brings the middle where it is wanted, not yet rounded. */
    public function subtrimFor(Reading $target): float
    {
        if ($this->handset->model !== SubtrimModel::Before) {
            return ($target->mid - $this->centre) / $this->handset->usPerUnit;
        }
        $side = $target->mid >= $this->centre ? $target->hi - $target->mid : $target->mid - $target->lo;

        return ($target->mid - $this->centre) / $side * 100;
    }

    /**
     * The end points, in %, that bring the ends where they are wanted with this sub-trim; not yet rounded.
     *
     * @return array{float, float} Low and high.
     */
    public function endsFor(Reading $target, float $subtrim): array
    {
        $shift = $this->handset->usPerUnit * $subtrim;
        [$low, $high] = match ($this->handset->model) {
            SubtrimModel::After => [$this->centre + $shift - $target->lo, $target->hi - $this->centre - $shift],
            SubtrimModel::Pivot => [$this->centre - $target->lo, $target->hi - $this->centre],
            SubtrimModel::Before => [($this->centre - $target->lo) / (1 - $subtrim / 100), ($target->hi - $this->centre) / (1 + $subtrim / 100)],
        };

        return [$low / $this->lowSide * 100, $high / $this->highSide * 100];
    }

    /** @return array{float, float, float} Centre, G⁻, G⁺. */
    private static function before(Reading $at, float $s, string $path): array
    {
        if (abs($s) >= 1) {
            throw self::impossible($s * 100, $path);
        }
        if ($s >= 0) {
            $high = $at->hi - $at->mid;
            $centre = $at->mid - $s * $high;

            return [$centre, ($centre - $at->lo) / (1 - $s), $high];
        }
        $low = $at->mid - $at->lo;
        $centre = $at->mid - $s * $low;

        return [$centre, $low, ($at->hi - $centre) / (1 + $s)];
    }

    private static function impossible(float $subtrim, string $path): DocumentError
    {
        return DocumentError::at(ltrim("$path.settings.subtrim", '.'), "Found a sub-trim of $subtrim, with which these readings cannot be; expected the one they were made with.", 'contradiction');
    }
}
