<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\ThresholdSettings;
use Linguator\Core\Switching\Window;
use Linguator\Core\Travel\SubtrimModel;

/** Faults of what the handset sends, and of the thresholds and windows that it is held against. */
final readonly class HandsetFaults
{
    public function __construct(private World $world, private Fault $fault, private Concerned $concerned)
    {
    }

    /** @throws NotHere */
    public function put(): World
    {
        return match ($this->fault->does) {
            Change::Reversed => $this->changed(static fn (ChannelRecord $record): array => ['reversed' => ! $record->now()->reversed]),
            Change::WeightNegative => $this->changed(static fn (ChannelRecord $record): array => ['weight' => -$record->inputWeight()]),
            Change::CentreMoved => $this->changed($this->moved(...)),
            Change::TravelScaled => $this->changed($this->scaled(...)),
            Change::ThresholdFallen => $this->thresholdFallen(),
            Change::WindowMoved => $this->windowMoved(),
            Change::FlightMode => $this->flightMode(),
            Change::Trimmed => $this->world->trimmed($this->fault->amount(), $this->concerned->channel()),
            default => $this->world->with(Oddity::CalibrationBad, $this->concerned->channel()),
        };
    }

    /** @param  \Closure(ChannelRecord): array<string, mixed>  $becomes  What of the channel's record is otherwise. */
    private function changed(\Closure $becomes): World
    {
        $channel = $this->concerned->channel();
        $changes = $becomes(new ChannelRecord($this->world->rig, $channel));

        return $this->world->setUp(Altered::channel($this->world->rig, $channel, static function (\stdClass $entry) use ($changes): void {
            foreach ($changes as $key => $value) {
                $entry->{$key} = $value;
            }
        }));
    }

    /**
     * Ends that were read keep their place, its middle does not; else the sub-trim is another.
     *
     * @return array<string, mixed>
     */
    private function moved(ChannelRecord $record): array
    {
        $us = $this->fault->amount();
        $ends = $record->ends();
        if ($ends !== null) {
            return ['ends_us' => [$ends->lo, $ends->mid + $us, $ends->hi]];
        }
        $travel = $this->concerned->rig->handset()->travel();
        $perUnit = $travel->model === SubtrimModel::Before ? $this->concerned->rig->handset()->scale()->usPer100 / 100 : $travel->usPerUnit;

        return ['subtrim' => $record->now()->subtrim + $us / $perUnit];
    }

    /** @return array<string, mixed> */
    private function scaled(ChannelRecord $record): array
    {
        $factor = $this->fault->measure->number('factor');
        $ends = $record->ends();

        return $ends === null
            ? ['lo_pct' => $record->now()->loPct * $factor, 'hi_pct' => $record->now()->hiPct * $factor]
            : ['ends_us' => [$ends->at(-$factor), $ends->mid, $ends->at($factor)]];
    }

    /** The threshold falls below the lowest throttle; the values stay. */
    private function thresholdFallen(): World
    {
        $lowest = $this->concerned->craft()->us('throttle') ?? throw new NotHere('no throttle gets to its craft.');
        $set = ThresholdSettings::of($this->concerned->rig)->low === null ? throw new NotHere('no low threshold is known.') : $this->concerned->rig->settings()->node('thresholds');
        $thresholds = clone ($set->value ?? new \stdClass);
        $thresholds->low = $lowest - $this->fault->amount();

        return $this->world->setUp(Altered::setting($this->world->rig, 'thresholds', $thresholds));
    }

    /** The window moves past where the arm switch lands. */
    private function windowMoved(): World
    {
        $rig = $this->concerned->rig;
        [$entry, $controls] = [$rig->window(Window::ARM), Armed::of($this->concerned->circuit)];
        $armed = $entry === null || $controls === null ? null : (new Craft($this->concerned->circuit->run($controls)))->onChannel($entry->channel);
        if ($entry === null || $armed === null) {
            throw new NotHere('no switch of it arms through a window.');
        }
        $entries = $rig->settings()->items('windows');
        $moved = clone $rig->settings()->nodes('windows')[$entry->position]->value;
        $moved->lo = $armed + $this->fault->amount();
        $moved->hi = $moved->lo + $entry->window->hi - $entry->window->lo;
        $entries[$entry->position] = $moved;

        return $this->world->setUp(Altered::setting($this->world->rig, 'windows', $entries));
    }

    private function flightMode(): World
    {
        return HandsetOutput::flightSwitch($this->concerned->rig) === null
            ? throw new NotHere('its handset has no switch on which a flight mode could hang.')
            : $this->world->with(Oddity::FlightModeOn, $this->concerned->channel());
    }
}
