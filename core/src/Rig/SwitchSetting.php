<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;
use Linguator\Core\Gear\HandsetSwitch;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Switching\SwitchLevels;
use Linguator\Core\Travel\ChannelSettings;

/** A function on a switch, slider or knob of the handset, as a rig has it set; and the one answer to what its positions send. */
final readonly class SwitchSetting
{
    /** A slider has no positions: its ends and its middle stand for them. */
    private const SLIDER_POSITIONS = 3;

    private const USUAL_POSITIONS = 2;

    public string $function;

    /** Of the handset. */
    public int $channel;

    /** Which one it is; null: not chosen, or not on the handset's card. */
    public ?HandsetSwitch $switch;

    /** The name it has in the rig, on the card or not. */
    public ?string $switchId;

    /** The position it stands in when the handset is switched on, from 1. */
    public int $powerUp;

    public float $weight;

    public float $offset;

    /** @var list<float>|null One output % per position. */
    public ?array $curve;

    /** @var list<float>|null What was read, µs by position. */
    public ?array $measured;

    /**
     * @param  int  $position  Its place in the rig's list, from 0.
     * @param  ChannelRecord  $record  What is recorded of its channel.
     */
    public function __construct(private Node $entry, public int $position, private HandsetTraits $handset, private ChannelRecord $record)
    {
        $this->function = $entry->text('function');
        $this->channel = $entry->int('channel');
        $this->switchId = $entry->textOrNull('switch');
        $this->switch = $this->switchId === null ? null : $handset->switch($this->switchId);
        $this->powerUp = $entry->intOrNull('power_up') ?? 1;
        $this->weight = $entry->numberOrNull('weight') ?? $record->inputWeight();
        $this->offset = $entry->numberOrNull('offset') ?? $record->offset();
        $this->curve = $entry->numbersOrNull('curve');
        $this->measured = $entry->numbersOrNull('levels_us');
    }

    public function node(): Node
    {
        return $this->entry;
    }

    /** What is set for its channel. */
    public function set(): ChannelSettings
    {
        return $this->record->now();
    }

    /** The handset's. */
    public function scale(): Scale
    {
        return $this->handset->scale();
    }

    /** As read; else computed, and sent through ends, sub-trim and direction of the channel as a stick is. */
    public function levels(): SwitchLevels
    {
        if ($this->measured !== null && $this->measured !== []) {
            return SwitchLevels::measured($this->handset->scale(), $this->measured);
        }

        return SwitchLevels::of($this->handset->scale(), $this->handset->maxPct(), $this->positions(), $this->weight, $this->offset, $this->curve)->through($this->sent(...));
    }

    /**
     * What a slider or knob sends in between, µs; levels that were read, and the points of a curve, stand evenly along its way.
     *
     * @param  float  $percent  −100 at its low end, 100 at its high end.
     */
    public function slidTo(float $percent): float
    {
        if ($this->measured !== null && count($this->measured) >= 2) {
            return Steps::between($this->measured, $percent);
        }
        $out = $this->curve !== null && count($this->curve) >= 2 ? Steps::between($this->curve, $percent) : $percent;

        return Steps::clean($this->sent(max(-$this->handset->maxPct(), min($this->handset->maxPct(), $this->weight * $out / 100 + $this->offset)) / 100));
    }

    /** Through ends, sub-trim and direction of the channel, as a stick; a mix of negative weight turns it round too. */
    private function sent(float $share): float
    {
        return $this->record->at($this->record->mixWeight() < 0 ? -$share : $share);
    }

    /** What it sends in its power-up position, µs. */
    public function offUs(): float
    {
        $levels = $this->levels();

        return $levels->us(min($levels->count(), max(1, $this->powerUp)));
    }

    public function isSlider(): bool
    {
        return $this->switch !== null && $this->switch->isSlider();
    }

    public function springs(): bool
    {
        return $this->switch !== null && $this->switch->spring;
    }

    /** @return int<2, max> */
    private function positions(): int
    {
        if ($this->curve !== null && count($this->curve) >= 2) {
            return count($this->curve);
        }

        return $this->isSlider() ? self::SLIDER_POSITIONS : max(2, $this->switch->positions ?? self::USUAL_POSITIONS);
    }
}
