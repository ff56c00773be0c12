<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Diagnosis\Measured;
use Linguator\Core\Diagnosis\Parts;
use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Probe;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\Shown;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Steps\Travel\TravelRow;
use Linguator\Core\Switching\SwitchLevel;
use Linguator\Core\Travel\Reading;

/** What a rig knows already when somebody looks for a fault: its parts, and every test that its settings, readings and attempts answer by themselves. */
final readonly class RigSymptoms
{
    private Reviews $reviews;

    public function __construct(private RigDocument $rig)
    {
        $this->reviews = new Reviews($rig);
    }

    public function parts(): Parts
    {
        return Probe::partsOf($this->rig);
    }

    /** All of it, as a screen gets it. */
    public function shown(): \stdClass
    {
        return (object) ['name' => $this->rig->name(), 'parts' => $this->parts(), 'symptoms' => $this->all(), 'mends' => (new RigMends($this->rig))->all()];
    }

    /** @return list<Symptom> */
    public function all(): array
    {
        return $this->rig->chain()->joins() ? array_values(array_filter([$this->order(), $this->ends(), $this->centre(), $this->throttle(), $this->arm(), $this->weights(), $this->bound(), ...array_map($this->loss(...), $this->reviews->failsafe()->losses->hops)])) : [];
    }

    /** Settings that are right on paper are nothing that was seen: a fault is where the craft differs from its record. Only a proof that holds says no. */
    private function order(): ?Symptom
    {
        $view = $this->reviews->order()->shown();

        return match (true) {
            $view->proof->holds() => new Symptom('stick_moves_wrong_value', 'no', "Proven: {$view->proof->observed}."),
            $view->correct !== null && ! $view->right => new Symptom('stick_moves_wrong_value', 'yes', 'By the settings a stick moves another value than it should.'),
            default => null,
        };
    }

    /** Of the readings in force, the travel that is farthest from its target: what a servo stands is full travel for it. */
    private function ends(): ?Symptom
    {
        $worst = $this->worst(static fn (Reading $read, Reading $target): float => max(abs($read->lo - $target->lo), abs($read->hi - $target->hi)));
        $read = $worst?->last()?->reading;

        return $worst === null || $read === null ? null : $this->measured(
            (object) ['lo_us' => Pulse::LOW_US + $read->lo - $worst->target->lo, 'hi_us' => Pulse::HIGH_US + $read->hi - $worst->target->hi],
            sprintf('Read: %s from %g to %g µs, aimed at %g to %g µs.', $worst->function, $read->lo, $read->hi, $worst->target->lo, $worst->target->hi),
        );
    }

    /** The same of the sticks at rest. */
    private function centre(): ?Symptom
    {
        $worst = $this->worst(static fn (Reading $read, Reading $target): float => abs($read->mid - $target->mid), true);
        $read = $worst?->last()?->reading;

        return $worst === null || $read === null ? null : $this->measured(
            (object) ['centre_us' => Pulse::CENTRE_US + $read->mid - $worst->target->mid],
            sprintf('Read: %s rests at %g µs, aimed at %g µs.', $worst->function, $read->mid, $worst->target->mid),
        );
    }

    /** @param  \Closure(Reading, Reading): float  $off  How far a reading is from its target, µs. */
    private function worst(\Closure $off, bool $isResting = false): ?TravelRow
    {
        [$worst, $most] = [null, -1.0];
        foreach ($this->reviews->travel()->rows as $row) {
            $reading = ! $isResting || $row->centres() ? self::inForce($row) : null;
            if ($reading !== null && $off($reading, $row->target) > $most) {
                [$worst, $most] = [$row, $off($reading, $row->target)];
            }
        }

        return $worst;
    }

    /** What was read with the settings as they are; null: nothing was. */
    private static function inForce(TravelRow $row): ?Reading
    {
        $last = $row->last();

        return $last?->with->equals($row->now()) === true ? $last->reading : null;
    }

    private function throttle(): ?Symptom
    {
        $low = $this->reviews->travel()->thresholds()?->low;
        if ($low === null) {
            return null;
        }
        foreach ($this->reviews->travel()->rows as $row) {
            $reading = $row->function === Letter::Throttle->functionName() ? self::inForce($row) : null;
            if ($reading !== null) {
                return $this->measured((object) ['throttle_low_us' => $reading->lo, 'low_threshold_us' => $low], sprintf('Read: throttle down at %g µs; the low threshold is %g µs.', $reading->lo, $low));
            }
        }

        return null;
    }

    /** Whether any position of the arm switch lies in its window. */
    private function arm(): ?Symptom
    {
        $switch = $this->rig->switchOf('arm');
        if ($switch === null) {
            return null;
        }
        foreach ($this->rig->windows() as $window) {
            if ($window->window->name === 'arm' && $window->channel === $switch->channel) {
                return $this->armIn($switch, $window->window->lo, $window->window->hi);
            }
        }

        return null;
    }

    /** Levels that are computed prove no hit, only a miss. */
    private function armIn(SwitchSetting $switch, float $lo, float $hi): ?Symptom
    {
        $inside = array_filter($switch->levels()->levels, static fn (SwitchLevel $level): bool => $level->us >= $lo && $level->us <= $hi);
        $levels = implode(', ', array_map(static fn (SwitchLevel $level): string => sprintf('%.0f', $level->us), $switch->levels()->levels));

        if ($inside !== [] && $switch->measured === null) {
            return null;
        }

        return new Symptom('arm_value_in_window', $inside === [] ? 'no' : 'yes', sprintf('Its switch sends %s µs; the window reaches from %g to %g µs.', $levels, $lo, $hi));
    }

    private function weights(): ?Symptom
    {
        foreach ($this->reviews->travel()->rows as $row) {
            $record = new ChannelRecord($this->rig, $row->channel);
            if ($record->inputWeight() < 0 || $record->mixWeight() < 0) {
                return new Symptom('mix_weights', 'negative', "A weight of $row->function is negative.");
            }
        }

        return null;
    }

    /** The latest attempt at two metres or more. */
    private function bound(): ?Symptom
    {
        $last = null;
        foreach ($this->rig->node()->nodes('attempts') as $attempt) {
            $last = ($attempt->numberOrNull('distance_m') ?? 0.0) >= 2.0 ? $attempt : $last;
        }

        return $last === null ? null : new Symptom('bind_at_two_metres', $last->flag('bound') ? 'binds' : 'fails', sprintf('Tried at %g m with %s.', $last->number('distance_m'), $last->textOrNull('variant') ?? 'the variant as it was'));
    }

    /** What the test of a loss showed, with the settings as they are. */
    private function loss(FailsafeHop $hop): ?Symptom
    {
        $last = $hop->lastTest();
        $test = $hop->number === 1 && $hop->next !== null ? 'loss_test_first_hop' : 'loss_test';
        $shows = Shown::tryFrom($last?->textOrNull('shows') ?? '');
        $outcome = match (true) {
            $last === null || $hop->testReasons() !== [] => null,
            $last->text('result') === 'pass' => 'as_expected',
            $shows === Shown::Holds => 'holds',
            in_array($shows, [Shown::Runs, Shown::Full], true) && $test === 'loss_test' => 'motor_runs',
            default => null,
        };

        return $outcome === null ? null : new Symptom($test, $outcome, "Tested: {$last?->textOrNull('observed')}.");
    }

    /** @param  \stdClass  $numbers  A whole group, as the verb `diagnose` has them. */
    private function measured(\stdClass $numbers, string $from): ?Symptom
    {
        $seen = Measured::observations(new Node($numbers))[0] ?? null;

        return $seen === null ? null : new Symptom($seen->test, $seen->outcome, $from);
    }
}
