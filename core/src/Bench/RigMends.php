<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Readiness\Reviews;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Order\OfferedFix;
use Linguator\Core\Steps\Travel\TravelRow;
use Linguator\Core\Switching\Window;

/** Faults of a rig that a setting mends: each with the change that the step it belongs to would make. What is amiss in a box or a wire is not among them. */
final readonly class RigMends
{
    private Reviews $reviews;

    public function __construct(private RigDocument $rig)
    {
        $this->reviews = new Reviews($rig);
    }

    /** @return list<Mend> None while the chain does not join. */
    public function all(): array
    {
        return $this->rig->chain()->joins() ? [...$this->order(), ...$this->travel(), ...$this->threshold(), ...$this->window(), ...$this->weights()] : [];
    }

    /** @return list<Mend> */
    private function order(): array
    {
        return array_map(static fn (OfferedFix $fix): Mend => new Mend($fix->module === null ? 'order_mismatch' : 'module_remap_unexpected', $fix->title, 'mend-order', (object) array_filter(['at' => $fix->fix->at->value, 'module' => $fix->module], is_string(...))), $this->reviews->order()->fixes());
    }

    /** @return list<Mend> The computed ends and sub-trim of what was read, all channels at once. */
    private function travel(): array
    {
        $rows = array_filter($this->reviews->travel()->rows, static fn (TravelRow $row): bool => $row->last() !== null && $row->solution() !== null && ! $row->solution()->settings->equals($row->now()));
        if ($rows === []) {
            return [];
        }
        $names = implode(', ', array_map(static fn (TravelRow $row): string => $row->function, $rows));
        $told = (object) ['channels' => array_values(array_map(static fn (TravelRow $row): int => $row->channel, $rows))];

        return array_map(static fn (string $cause): Mend => new Mend($cause, "Enter the computed ends and sub-trim: $names", 'take-settings', $told), ['centre_off', 'travel_too_small', 'travel_too_large', 'throttle_low_above_threshold']);
    }

    /** @return list<Mend> */
    private function threshold(): array
    {
        $thresholds = $this->reviews->travel()->thresholds();
        $low = $thresholds?->suggested->low;

        return $low === null || $low === $thresholds->low ? [] : [new Mend('throttle_low_above_threshold', sprintf('Low threshold to %g µs', $low), 'set-thresholds', (object) ['low' => $low])];
    }

    /** @return list<Mend> */
    private function window(): array
    {
        $entry = $this->rig->window(Window::ARM);
        $to = $entry === null ? null : $this->reviews->switches()->widened($entry);

        return $entry === null || $to === null || ($to->lo === $entry->window->lo && $to->hi === $entry->window->hi)
            ? []
            : [new Mend('arm_window_missed', sprintf('Window %s to %g–%g µs', $entry->window->name, $to->lo, $to->hi), 'widen-window', (object) ['window' => $entry->window->name, 'channel' => $entry->channel, 'position' => $entry->position])];
    }

    /** @return list<Mend> */
    private function weights(): array
    {
        $mends = [];
        foreach ($this->reviews->travel()->rows as $row) {
            $record = new ChannelRecord($this->rig, $row->channel);
            if ($record->inputWeight() < 0) {
                $mends[] = new Mend('reversal_hidden_in_mix', sprintf('Weight of %s to %g %%', $row->function, -$record->inputWeight()), 'set-weights', (object) ['channel' => $row->channel, 'weight' => -$record->inputWeight()]);
            }
        }

        return $mends;
    }
}
