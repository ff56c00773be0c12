<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Quantity\Steps;

/**
 * From three readings to the settings that bring a channel to its target, in one pass.
 *
 * The sub-trim is rounded first, the ends are computed from the rounded sub-trim and rounded then.
 */
final readonly class TravelSolver
{
    /** A `before` sub-trim stays inside this (% of stick travel). */
    private const FULL_STICK = 100.0;

    public function __construct(private HandsetTravel $handset)
    {
    }

    /**
     * @param  bool  $centre  False: the sub-trim stays as it is.
     * @param  bool  $inward  The target is a limit: ends are rounded so that they stay inside it.
     */
    public function solve(Gimbal $gimbal, Reading $target, ChannelSettings $now, bool $centre = true, bool $reverse = false, bool $inward = false): Solution
    {
        $gimbal = $reverse ? $gimbal->reversed() : $gimbal;
        [$subtrim, $trimFinding] = $centre ? $this->subtrim($gimbal, $target) : [$now->subtrim, null];
        [$low, $high] = $gimbal->endsFor($target, $subtrim);
        [$lowStep, $highStep] = [$this->stepped($low, $inward), $this->stepped($high, $inward)];
        [$lo, $hi] = [$this->allowed($lowStep), $this->allowed($highStep)];
        $settings = new ChannelSettings($lo, $hi, $subtrim, $reverse);
        $predicted = $gimbal->predict($settings);
        $limited = array_values(array_filter([
            $lo === $lowStep ? null : End::Lo,
            $hi === $highStep ? null : End::Hi,
        ]));
        $findings = array_map(fn (End $end): Finding => $this->limit($end, $end === End::Lo ? $low : $high, $predicted, $target), $limited);

        return new Solution($settings, $predicted, $limited, Findings::of($trimFinding, ...$findings));
    }

    private function stepped(float $percent, bool $inward): float
    {
        return $inward ? Steps::below($percent, $this->handset->stepPct) : Steps::nearest($percent, $this->handset->stepPct);
    }

    /** A percentage as it can be entered: held at the handset's limits. */
    private function allowed(float $percent): float
    {
        return max(0.0, min($this->handset->maxPct, $percent));
    }

    /** @return array{float, Finding|null} */
    private function subtrim(Gimbal $gimbal, Reading $target): array
    {
        $wanted = Steps::nearest($gimbal->subtrimFor($target), $this->handset->subtrimStep);
        if ($this->handset->model !== SubtrimModel::Before || abs($wanted) < self::FULL_STICK) {
            return [$wanted, null];
        }
        $most = Steps::below(self::FULL_STICK - $this->handset->subtrimStep, $this->handset->subtrimStep);

        return [$wanted < 0 ? -$most : $most, new Finding(Code::T8, Severity::Fix,
            sprintf('The centre lies too far off for a sub-trim: it would take %g %% of the stick.', $wanted),
            found: sprintf('%g µs without sub-trim', round($gimbal->centre, 1)), expected: "$target->mid µs",
            why: 'A sub-trim that large leaves no travel on one side.', change: 'Calibrate the sticks first, or set the centre in the controller.')];
    }

    private function limit(End $side, float $wanted, Reading $predicted, Reading $target): Finding
    {
        [$end, $reached, $aim] = $side === End::Lo ? ['low', $predicted->lo, $target->lo] : ['high', $predicted->hi, $target->hi];
        $bound = $wanted < 0 ? 0.0 : $this->handset->maxPct;

        return new Finding(Code::T8, Severity::Fix,
            sprintf('The %s end would need %.4g %%; this handset stops at %g %%.', $end, $wanted, $bound),
            found: sprintf('%.1f µs reached', $reached), expected: sprintf('%g µs', $aim),
            why: 'The stick never reaches this end of the range.',
            change: $wanted < 0 ? 'Check the readings: this side lies beyond the target altogether.' : 'Switch extended limits on in the handset, or narrow the range in the controller.');
    }
}
