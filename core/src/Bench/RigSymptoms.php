<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Diagnosis\Measured;
use Linguator\Core\Diagnosis\Parts;
use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\Shown;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Switching\SwitchLevel;

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
        return new Parts($this->rig->boxes->modules() !== [], count($this->rig->boxes->hops()) > 1);
    }

    /** @return list<Symptom> */
    public function all(): array
    {
        return $this->rig->chain()->joins() ? array_values(array_filter([$this->order(), ...$this->readings(), $this->throttle(), $this->arm(), $this->weights(), $this->bound(), ...$this->losses()])) : [];
    }

    private function order(): ?Symptom
    {
        $view = $this->reviews->order()->shown();

        return match (true) {
            $view->correct === null => null,
            $view->right => new Symptom('stick_moves_wrong_value', 'no', 'By the settings each stick moves what it should.'),
            default => new Symptom('stick_moves_wrong_value', 'yes', 'By the settings a stick moves another value than it should.'),
        };
    }

    /** @return list<Symptom|null> Of the readings as they are in force, the one that is farthest from its target: what a servo stands is full travel for it. */
    private function readings(): array
    {
        [$ends, $centres] = [null, null];
        foreach ($this->reviews->travel()->rows as $row) {
            $reading = $row->last()?->with->equals($row->now()) === true ? $row->last()->reading : null;
            if ($reading === null) {
                continue;
            }
            $off = max(abs($reading->lo - $row->target->lo), abs($reading->hi - $row->target->hi));
            $ends = $ends === null || $off > $ends[0] ? [$off, $row, $reading] : $ends;
            $off = abs($reading->mid - $row->target->mid);
            $centres = $row->centres() && ($centres === null || $off > $centres[0]) ? [$off, $row, $reading] : $centres;
        }

        return [
            $ends === null ? null : $this->measured(
                ['lo_us' => Pulse::LOW_US + $ends[2]->lo - $ends[1]->target->lo, 'hi_us' => Pulse::HIGH_US + $ends[2]->hi - $ends[1]->target->hi],
                sprintf('Read: %s from %g to %g µs, aimed at %g to %g µs.', $ends[1]->function, $ends[2]->lo, $ends[2]->hi, $ends[1]->target->lo, $ends[1]->target->hi),
            ),
            $centres === null ? null : $this->measured(
                ['centre_us' => Pulse::CENTRE_US + $centres[2]->mid - $centres[1]->target->mid],
                sprintf('Read: %s rests at %g µs, aimed at %g µs.', $centres[1]->function, $centres[2]->mid, $centres[1]->target->mid),
            ),
        ];
    }

    private function throttle(): ?Symptom
    {
        $low = $this->reviews->travel()->thresholds()?->low;
        if ($low === null) {
            return null;
        }
        foreach ($this->reviews->travel()->rows as $row) {
            if ($row->function === Letter::Throttle->functionName() && $row->last() !== null) {
                return $this->measured(['throttle_low_us' => $row->last()->reading->lo, 'low_threshold_us' => $low], sprintf('Read: throttle down at %g µs; the low threshold is %g µs.', $row->last()->reading->lo, $low));
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

    private function armIn(SwitchSetting $switch, float $lo, float $hi): Symptom
    {
        $inside = array_filter($switch->levels()->levels, static fn (SwitchLevel $level): bool => $level->us >= $lo && $level->us <= $hi);
        $levels = implode(', ', array_map(static fn (SwitchLevel $level): string => sprintf('%.0f', $level->us), $switch->levels()->levels));

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

    /** @return list<Symptom|null> What tests of a loss showed, with the settings as they are. */
    private function losses(): array
    {
        $symptoms = [];
        foreach ($this->reviews->failsafe()->losses->hops as $hop) {
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
            $symptoms[] = $outcome === null ? null : new Symptom($test, $outcome, "Tested: {$last?->textOrNull('observed')}.");
        }

        return $symptoms;
    }

    /** @param  array<string, float>  $numbers */
    private function measured(array $numbers, string $from): ?Symptom
    {
        $seen = Measured::observations(new Node((object) $numbers))[0] ?? null;

        return $seen === null ? null : new Symptom($seen->test, $seen->outcome, $from);
    }
}
