<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Dance\Move;
use Linguator\Core\Dance\MoveKind;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** The stand-in dances a rig: the whole script, as its last receiver would send it, to try it out without gear. */
final class DanceRehearsal
{
    private const REST_MS = 2000.0;

    /** A stick stays so long at an end, a switch in a position (ms). */
    private const HOLD_MS = 650.0;

    private const STICK_MS = 250.0;

    private const SWITCH_MS = 10.0;

    private const PAUSE_MS = 500.0;

    /** @var list<\stdClass> */
    private array $prompts = [];

    private readonly StandInHands $hands;

    /** @throws DocumentError if the rig cannot be run, or has not such a fault. */
    public function __construct(private readonly RigDocument $rig, Node $told, Formats $formats)
    {
        $this->hands = new StandInHands($rig, $told, $formats);
    }

    /** @return \stdClass Its `log` and `prompts`. */
    public function danced(int $seed, bool $isShort = false): \stdClass
    {
        foreach ((new DanceScript($this->rig, $isShort))->moves() as $k => $move) {
            $this->prompts[] = (object) ['move' => $k, 't_ms' => round($this->hands->ms())];
            $this->make($move);
        }

        return (object) ['log' => $this->hands->log($seed), 'prompts' => $this->prompts];
    }

    private function make(Move $move): void
    {
        $ends = $move->isThrottle() ? [100] : [100, -100];
        match ($move->kind) {
            MoveKind::Rest => $this->hands->hold(self::REST_MS),
            MoveKind::Switch => $this->flip($move->id ?? '', $move->positions),
            MoveKind::Knob => $this->turn(array_map(static fn (int $end): array => ['knobs' => [$move->id ?? '' => $end]], $ends)),
            MoveKind::Stick => $this->turn(array_map(static fn (int $end): array => ['sticks' => [$move->letter->value ?? '' => $end]], $ends)),
        };
        $this->hands->hold(self::PAUSE_MS);
    }

    /** @param  list<array<string, array<string, int>>>  $ends  How the controls stand at each end, one after the other. */
    private function turn(array $ends): void
    {
        $this->hands->hold(self::PAUSE_MS);
        foreach ($ends as $controls) {
            $this->hands->move($controls, self::STICK_MS);
            $this->hands->hold(self::HOLD_MS);
        }
        $this->hands->move([], self::STICK_MS);
    }

    private function flip(string $id, int $positions): void
    {
        $this->hands->hold(self::PAUSE_MS);
        foreach ([...range(2, $positions), 1] as $position) {
            $this->hands->move(['switches' => [$id => $position]], self::SWITCH_MS);
            $this->hands->hold($position === 1 ? 0.0 : self::HOLD_MS);
        }
    }
}
