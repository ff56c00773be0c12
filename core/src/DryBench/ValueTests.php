<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Rig\ThresholdSettings;
use Linguator\Core\Switching\Window;

/** Tests that look at channel values, beside what the planned rig shows. */
final readonly class ValueTests
{
    private const CENTRED_US = 3.0;

    private const SLIGHTLY_US = 50.0;

    /** Ends this near to the planned ones are full. */
    private const END_US = 25.0;

    /** A value that leaps by more than this close to full stick jumps. */
    private const JUMP_US = 150.0;

    public function __construct(private Sight $plan, private Sight $sight)
    {
    }

    /** Null: it is not one of these. */
    public function see(string $test): ?Seen
    {
        return match ($test) {
            'values_moving' => $this->moving(),
            'stick_moves_wrong_value' => $this->wrongValue(),
            'two_values_move_together' => $this->two(),
            'direction_wrong' => $this->direction(),
            'rest_values' => $this->rest(),
            'end_values' => $this->ends(),
            'throttle_lowest' => $this->throttle(),
            'arm_value_in_window' => $this->armValue(),
            'arming_block_reported' => $this->block(),
            'arms' => new Seen($this->armed()?->armed === true ? 'yes' : 'no'),
            'jumps_at_full_stick' => $this->jumps(),
            'handset_monitor' => $this->monitor(),
            'order_after_radio' => $this->afterRadio(),
            'switch_moves_other_channels' => $this->otherChannels(),
            default => null,
        };
    }

    /** @return array<string, float> */
    private function by(Letter $letter): array
    {
        return $this->sight->moved(Control::stick($letter));
    }

    /** @return array<string, float> */
    private function plannedBy(Letter $letter): array
    {
        return $this->plan->moved(Control::stick($letter));
    }

    /**
     * The first stick of the planned rig of which this is so.
     *
     * @param  \Closure(Letter): bool  $isSo
     */
    private function anyStick(\Closure $isSo): ?Letter
    {
        return $this->firstOf($this->plan->sticks(), $isSo);
    }

    /**
     * @param  list<Letter>  $letters
     * @param  \Closure(Letter): bool  $isSo
     */
    private function firstOf(array $letters, \Closure $isSo): ?Letter
    {
        foreach ($letters as $letter) {
            if ($isSo($letter)) {
                return $letter;
            }
        }

        return null;
    }

    private function moving(): Seen
    {
        $planned = $this->plan->moving();
        $still = array_keys(array_diff_key($planned, $this->sight->moving()));
        [$number, $missing] = [count($planned), count($still)];
        if ($missing === $number) {
            return new Seen('none');
        }

        return match ($missing) {
            0 => new Seen('all', "$number of $number follow."),
            1 => new Seen('one_missing', ucfirst($still[0]).' stays as it is.'),
            default => new Seen('first_only', ucfirst(implode(', ', $still)).' stay as they are.'),
        };
    }

    private function wrongValue(): Seen
    {
        $wrong = $this->firstOf(Letter::cases(), $this->isAnother(...));

        return $wrong === null ? new Seen('no') : new Seen('yes', ucfirst($wrong->functionName()).'\'s stick moves '.implode(' and ', array_keys($this->by($wrong))).'.');
    }

    private function isAnother(Letter $letter): bool
    {
        return $this->by($letter) !== [] && array_diff_key($this->by($letter), $this->plannedBy($letter)) !== [];
    }

    private function two(): Seen
    {
        $more = array_filter($this->plan->sticks(), fn (Letter $letter): bool => count($this->by($letter)) > max(1, count($this->plannedBy($letter))));

        return new Seen($more === [] ? 'no' : 'yes');
    }

    private function direction(): Seen
    {
        [$wrong, $all] = [[], 0];
        foreach (Control::allOf($this->plan->rig()) as $control) {
            $planned = $this->plan->moved($control);
            foreach (array_intersect_key($this->sight->moved($control), $planned) as $function => $by) {
                $all++;
                if ($by * $planned[$function] < 0) {
                    $wrong[] = $function;
                }
            }
        }

        return match (true) {
            $wrong === [] => new Seen('none'),
            $all > 1 && count($wrong) === $all => new Seen('all'),
            default => new Seen('some', ucfirst(implode(', ', array_unique($wrong))).' goes the other way.'),
        };
    }

    private function rest(): Seen
    {
        [$most, $of] = $this->farthest([0.0], true);

        return match (true) {
            $most <= self::CENTRED_US => new Seen('centred'),
            $most <= self::SLIGHTLY_US => new Seen('slightly_off', sprintf('%s rests %.0f µs beside it.', ucfirst((string) $of), $most)),
            default => new Seen('far_off', sprintf('%s rests %.0f µs beside it.', ucfirst((string) $of), $most)),
        };
    }

    /**
     * How far a stick is from where it is planned, of all sticks the most.
     *
     * @param  list<float>  $places  %.
     * @return array{float, string|null} µs, and which.
     */
    private function farthest(array $places, bool $isCentredOnly): array
    {
        [$most, $of] = [0.0, null];
        foreach ($this->plan->sticks() as $letter) {
            if ($isCentredOnly && $letter === Letter::Throttle) {
                continue;
            }
            foreach ($places as $percent) {
                $off = abs(($this->at($letter, $percent) ?? 0.0) - ($this->plannedAt($letter, $percent) ?? 0.0));
                if ($off > $most) {
                    [$most, $of] = [$off, $letter->functionName()];
                }
            }
        }

        return [round($most, 6), $of];
    }

    private function at(Letter $letter, float $percent): ?float
    {
        return $this->sight->ofStick($letter, Controls::resting()->moved($letter, $percent));
    }

    /** As the handset itself shows it, where of the real craft nothing is to be seen. */
    private function plannedAt(Letter $letter, float $percent): ?float
    {
        $controls = Controls::resting()->moved($letter, $percent);

        return $this->by($letter) === [] ? $this->plan->atHandset($letter, $controls) : $this->plan->ofStick($letter, $controls);
    }

    private function ends(): Seen
    {
        [$short, $over] = [0.0, 0.0];
        foreach ($this->plan->sticks() as $letter) {
            foreach ([-100.0, 100.0] as $percent) {
                $planned = abs(($this->plannedAt($letter, $percent) ?? 0.0) - ($this->plannedAt($letter, 0.0) ?? 0.0));
                $is = abs(($this->at($letter, $percent) ?? 0.0) - ($this->at($letter, 0.0) ?? 0.0));
                [$short, $over] = [max($short, $planned - $is), max($over, $is - $planned)];
            }
        }

        return match (true) {
            $over > self::END_US && $over >= $short => new Seen('over', sprintf('%.0f µs beyond what is planned.', $over)),
            $short > self::END_US => new Seen('short', sprintf('%.0f µs less than planned.', $short)),
            default => new Seen('full'),
        };
    }

    private function throttle(): Seen
    {
        $lowest = $this->sight->craft(Controls::resting())->us('throttle') ?? $this->sight->atHandset(Letter::Throttle, Controls::resting());
        $planned = $this->plan->craft(Controls::resting())->us('throttle');
        $low = ThresholdSettings::of($this->sight->rig())->low ?? ($planned === null ? null : $planned + self::END_US);

        return $lowest === null || $low === null || $lowest < $low
            ? new Seen('below_threshold', $lowest === null ? null : sprintf('%.0f µs.', $lowest))
            : new Seen('above_threshold', sprintf('%.0f µs; it should be below %.0f µs.', $lowest, $low));
    }

    private function armControls(): Controls
    {
        return Armed::of($this->plan->circuit) ?? Controls::resting();
    }

    private function armed(): ?ControllerState
    {
        return $this->sight->craft($this->armControls())->controller($this->armControls());
    }

    /** Where nothing arrives, what the handset shows is held against the window. */
    private function armValue(): Seen
    {
        $entry = $this->sight->rig()->window(Window::ARM);
        $us = $entry === null ? null : ($this->sight->isAnythingHeard() ? $this->sight : $this->plan)->craft($this->armControls())->onChannel($entry->channel);

        return $entry === null || $us === null
            ? new Seen('no')
            : new Seen($entry->window->contains($us) ? 'yes' : 'no', sprintf('%.0f µs; the window reaches from %g to %g µs.', $us, $entry->window->lo, $entry->window->hi));
    }

    /** Who does not reach the window has not asked: it reports nothing. Who reads nothing reports that. */
    private function block(): Seen
    {
        if (! $this->sight->isAnythingHeard()) {
            return new Seen('other', 'It says that it gets no channels.');
        }

        return new Seen(match ($this->armed()?->refuses) {
            Refusal::Throttle => 'throttle',
            Refusal::Angle => 'angle',
            default => 'none',
        });
    }

    /** Throttle up, then each other stick by itself slowly to its very end. */
    private function jumps(): Seen
    {
        $up = Controls::resting()->moved(Letter::Throttle, 100.0);
        foreach (array_filter(Letter::cases(), static fn (Letter $letter): bool => $letter !== Letter::Throttle) as $letter) {
            if ($this->doesJump($letter, $up, $up->moved($letter, 100.0))) {
                return new Seen('yes', "With {$letter->functionName()} at its end others jump.");
            }
        }

        return new Seen('no');
    }

    /** Whether what this stick does not move leaps while it goes to its end. */
    private function doesJump(Letter $letter, Controls $from, Controls $to): bool
    {
        [$before, $after] = [$this->sight->us($from), $this->sight->us($to)];
        foreach (array_diff_key($after, $this->by($letter), $this->plannedBy($letter)) as $function => $us) {
            if (abs((float) $us - (float) ($before[$function] ?? $us)) > self::JUMP_US) {
                return true;
            }
        }

        return false;
    }

    private function monitor(): Seen
    {
        return match (true) {
            ! $this->sight->isAnythingHeard() && $this->plan->isAnythingHeard() => new Seen('values_differ', 'The controller\'s side shows nothing.'),
            $this->firstOf(Letter::cases(), $this->isAnother(...)) !== null => new Seen('order_differs'),
            array_diff_key($this->plan->moving(), $this->sight->moving()) !== [] => new Seen('values_differ', 'One stays as it is.'),
            default => new Seen('agree'),
        };
    }

    private function afterRadio(): Seen
    {
        $other = $this->anyStick(fn (Letter $letter): bool => $this->sight->atReceiver($letter) !== [] && $this->sight->atReceiver($letter) !== $this->plan->atReceiver($letter));

        return $other === null ? new Seen('same') : new Seen('rearranged', ucfirst($other->functionName()).' comes out on channel '.implode(', ', $this->sight->atReceiver($other)).'.');
    }

    /** Every switch of the handset through its positions. */
    private function otherChannels(): Seen
    {
        foreach ($this->plan->rig()->handset()->switches() as $switch) {
            $control = Control::switch($switch);
            $by = $this->sight->isAnythingHeard() ? $this->sight->moved($control) : [];
            $more = array_diff_key($by, $this->plan->moved($control));
            if ($more !== []) {
                return new Seen('yes', "$switch->id moves ".implode(', ', array_keys($more)).' too.');
            }
        }

        return new Seen('no');
    }
}
