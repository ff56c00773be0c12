<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\ThrottleChannel;

/** Faults that show only when a link is lost. */
final readonly class LossFaults
{
    /** Where the throttle stood when stale values were stored, %. */
    private const RUNNING_PCT = 20.0;

    public function __construct(private World $world, private Fault $fault, private Concerned $concerned)
    {
    }

    /** @throws NotHere */
    public function put(): World
    {
        return match ($this->fault->does) {
            Change::StoredStale => $this->stale(),
            Change::FirstHolds => $this->holding($this->first()),
            default => $this->holding($this->reached()),
        };
    }

    private function first(): FailsafeHop
    {
        $hop = $this->concerned->circuit->losses->hops[0] ?? null;

        return $hop?->next === null ? throw new NotHere('there is no relay.') : $hop;
    }

    /**
     * The hop that decides what is seen when the handset goes off.
     *
     * @throws NotHere
     */
    private function reached(): FailsafeHop
    {
        $hops = $this->concerned->circuit->losses->hops;
        if ($this->fault->hop !== null) {
            return $hops[$this->fault->hop - 1] ?? throw new NotHere('it has '.count($hops).' hops.');
        }
        $hop = $hops[0] ?? throw new NotHere('there is no link.');

        return match (true) {
            $hop->next === null => $hop,
            $hop->isDecidedByNext() => $hop->next,
            default => throw new NotHere('its relay goes on sending when the handset goes off, so the receiver in the craft does not notice.'),
        };
    }

    /** Whatever its card can do. */
    private function holding(FailsafeHop $hop): World
    {
        if ($hop->outcome() === Outcome::HoldsLast) {
            throw new NotHere("{$hop->receiver()->name} goes on with the last commands already.");
        }
        $modes = [FailsafeMode::Hold, ...array_filter($hop->modes() ?? [], static fn (FailsafeMode $mode): bool => $mode !== FailsafeMode::Hold)];
        $rig = Altered::card($this->world->rig, (int) $this->concerned->rig->boxes->receiverAt($hop->number), static function (\stdClass $card) use ($modes): void {
            $card->failsafe = (object) ['modes' => array_map(static fn (FailsafeMode $mode): string => $mode->value, $modes)];
        });

        return $this->world->setUp(Altered::failsafe($rig, $hop->number, static function (\stdClass $entry): void {
            $entry->mode = FailsafeMode::Hold->value;
            unset($entry->set_by);
        }));
    }

    /** Stored with the throttle up, or before it was turned round: it runs now. */
    private function stale(): World
    {
        $hop = $this->concerned->circuit->losses->hops[0] ?? throw new NotHere('there is no link.');
        $hop = $hop->isDecidedByNext() && $hop->next !== null && $this->fault->hop !== 1 ? $hop->next : $hop;
        $channel = (new ThrottleChannel($this->concerned->rig))->throttleAt($hop->number);
        $stored = $hop->storedUs();
        if ($hop->outcome() === Outcome::ReturnHome) {
            throw new NotHere('its stored values bring it home, with the throttle up.');
        }
        if ($hop->mode() !== FailsafeMode::Stored || $channel === null || ($stored[$channel - 1] ?? null) === null) {
            throw new NotHere("nothing is stored in {$hop->receiver()->name} for a throttle.");
        }
        $running = $this->concerned->circuit->run(Controls::resting()->moved(Letter::Throttle, self::RUNNING_PCT))->sent((int) $this->concerned->rig->boxes->receiverAt($hop->number));
        $stored[$channel - 1] = $this->fault->us ?? $running->us[$channel - 1] ?? throw new NotHere('no throttle gets that far.');

        return $this->world->setUp(Altered::failsafe($this->world->rig, $hop->number, static function (\stdClass $entry) use ($stored): void {
            $entry->stored_us = $stored;
        }));
    }
}
