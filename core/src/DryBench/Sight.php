<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Rig\RigDocument;

/** What somebody sees of a rig who moves its controls and looks: at the reader's values, at the receiver's output, at the handset's own. */
final class Sight
{
    /** A value that stays within this does not move, µs. */
    private const STILL_US = 10.0;

    /** How far a control is moved to see what it moves: not to its end. */
    private const SHARE = 0.6;

    /** @var array<string, Run> */
    private array $runs = [];

    /** @var array<string, array<string, float>> What each control moves, by how much. */
    private array $moved = [];

    public function __construct(public readonly Circuit $circuit)
    {
    }

    public function rig(): RigDocument
    {
        return $this->circuit->rig();
    }

    /** @param  list<int>  $lost */
    public function run(Controls $controls, array $lost = []): Run
    {
        return $this->runs[$controls->key().implode(',', $lost)] ??= $this->circuit->run($controls, $lost);
    }

    /** @param  list<int>  $lost */
    public function craft(Controls $controls, array $lost = []): Craft
    {
        return new Craft($this->run($controls, $lost));
    }

    /**
     * The functions that a control moves, and by how much from its low to its high side (µs).
     *
     * @return array<string, float>
     */
    public function moved(Control $control): array
    {
        if (! isset($this->moved[$control->key()])) {
            [$low, $high] = [$this->us($control->at(Controls::resting(), -self::SHARE)), $this->us($control->at(Controls::resting(), self::SHARE))];
            $moved = [];
            foreach ($low as $function => $us) {
                $by = $us === null || ($high[$function] ?? null) === null ? 0.0 : $high[$function] - $us;
                if (abs($by) > self::STILL_US) {
                    $moved[$function] = $by;
                }
            }
            $this->moved[$control->key()] = $moved;
        }

        return $this->moved[$control->key()];
    }

    /** @return array<string, true> Functions that anything in the hand moves. */
    public function moving(): array
    {
        $moving = [];
        foreach (Control::allOf($this->rig()) as $control) {
            $moving += array_map(static fn (): bool => true, $this->moved($control));
        }

        return $moving;
    }

    public function isAnythingHeard(): bool
    {
        return array_filter($this->us(Controls::resting()), is_float(...)) !== [];
    }

    /** What a stick's value is, by the function it moves; where nothing of it arrives, as the handset itself shows it. */
    public function ofStick(Letter $letter, Controls $controls): ?float
    {
        $function = array_key_first($this->moved(Control::stick($letter)));

        return $function === null ? $this->atHandset($letter, $controls) : $this->us($controls)[$function] ?? null;
    }

    public function atHandset(Letter $letter, Controls $controls): ?float
    {
        $channel = HandsetOutput::channelOf($this->rig(), $letter);

        return $channel === null ? null : $this->run($controls)->into(0)->us[$channel - 1] ?? null;
    }

    /** @return list<int> Channels at the output of the craft's receiver that a stick moves, from 1. */
    public function atReceiver(Letter $letter): array
    {
        $at = (int) $this->rig()->boxes->lastReceiverAt();
        $stick = Control::stick($letter);
        [$low, $high] = [$this->run($stick->at(Controls::resting(), -self::SHARE))->sent($at), $this->run($stick->at(Controls::resting(), self::SHARE))->sent($at)];
        if ($low === null || $high === null || $low->isSilent === true) {
            return [];
        }

        return array_values(array_filter(array_map(static fn (int $k): int => $k + 1, array_keys($low->us)), static fn (int $channel): bool => abs(($high->us[$channel - 1] ?? 0.0) - $low->us[$channel - 1]) > self::STILL_US));
    }

    /**
     * @param  list<int>  $lost
     * @return array<string, float|null> What every function gets, µs.
     */
    public function us(Controls $controls, array $lost = []): array
    {
        $us = [];
        foreach ($this->craft($controls, $lost)->values() as $value) {
            $us[$value->function] = $value->us;
        }

        return $us;
    }

    /** @return list<Letter> Sticks that move something of the craft as it is planned. */
    public function sticks(): array
    {
        return array_values(array_filter(Letter::cases(), fn (Letter $letter): bool => $this->moved(Control::stick($letter)) !== []));
    }
}
