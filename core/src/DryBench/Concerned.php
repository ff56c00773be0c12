<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Rig\RigDocument;

/** What of a rig, as it is planned, a fault concerns: the channel that was told, else the first one it can concern. */
final readonly class Concerned
{
    public RigDocument $rig;

    /**
     * @param  Circuit  $circuit  Of the rig as it is planned, whatever else is wrong with it by now.
     * @param  Craft  $craft  What that circuit moves, at rest.
     */
    public function __construct(public Circuit $circuit, private Craft $craft, private Fault $fault)
    {
        $this->rig = $circuit->rig();
    }

    /**
     * The channel of the handset: told; else that of the first stick that rests in its middle.
     *
     * @throws NotHere
     */
    public function channel(): int
    {
        if ($this->fault->channel !== null) {
            return $this->fault->channel <= $this->handsetChannels() ? $this->fault->channel : throw new NotHere("its handset sends {$this->handsetChannels()} channels.");
        }
        foreach ($this->sticks() as $channel => $letter) {
            if ($letter !== Letter::Throttle) {
                return $channel;
            }
        }

        throw new NotHere('but for the throttle no stick of it moves anything; say which channel.');
    }

    /** @return array<int, Letter> Sticks that move something of the craft, by channel of the handset. */
    public function sticks(): array
    {
        $sticks = [];
        foreach ($this->craft->functions() as $entry) {
            $letter = Letter::ofFunction($entry->function);
            if ($letter !== null) {
                $sticks[HandsetOutput::channelOf($this->rig, $letter) ?? $entry->channel] = $letter;
            }
        }
        ksort($sticks);

        return $sticks;
    }

    /**
     * The hop that was told; else the craft's own, which the tests look at.
     *
     * @throws NotHere
     */
    public function hop(): int
    {
        $hops = count($this->rig->boxes->hops());
        $hop = $this->fault->hop ?? $hops;

        return $hop >= 1 && $hop <= $hops ? $hop : throw new NotHere($hops === 0 ? 'there is no link.' : "it has $hops ".($hops === 1 ? 'hop.' : 'hops.'));
    }

    /**
     * A controller that reads one wire.
     *
     * @throws NotHere
     */
    public function controllerOnOneWire(): Controller
    {
        $controller = $this->rig->boxes->controller() ?? throw new NotHere('there is no controller.');

        return $this->circuit->isControllerOnOneWire() ? $controller : throw new NotHere("$controller->name reads a wire for every channel.");
    }

    /**
     * The last function that something in the hand moves, and that is no throttle: where it arrives at the receiver.
     *
     * @throws NotHere
     */
    public function lastMoved(): FunctionChannel
    {
        $moved = array_filter($this->craft->functions()->all, fn (FunctionChannel $entry): bool => $entry->function !== Letter::Throttle->functionName()
            && (Letter::ofFunction($entry->function) !== null || $this->rig->switchOf($entry->function)?->switch !== null));

        return $moved === [] ? throw new NotHere('nothing but the throttle is moved.') : $moved[array_key_last($moved)];
    }

    public function craft(): Craft
    {
        return $this->craft;
    }

    private function handsetChannels(): int
    {
        return count($this->circuit->run(Controls::resting())->into(0)->us ?? []);
    }
}
