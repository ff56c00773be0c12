<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Dance\Move;
use Linguator\Core\Dance\MoveKind;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Circuit;
use Linguator\Core\DryBench\Controls;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\World;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Nobody's hands at a rig's dry bench: the whole dance as its last receiver would send it, to try it out without gear. */
final class DanceRehearsal
{
    private const PERIOD_MS = 20.0;

    private const NOISE_US = 0.7;

    private const REST_MS = 2000.0;

    /** A stick stays so long at an end, a switch in a position (ms). */
    private const HOLD_MS = 650.0;

    private const STICK_MS = 250.0;

    private const SWITCH_MS = 10.0;

    private const PAUSE_MS = 500.0;

    /** @var list<array{float, list<float>}> When (ms), and what is sent then (µs by channel); straight in between. */
    private array $frames = [];

    /** @var list<\stdClass> */
    private array $prompts = [];

    private float $ms = 0.0;

    private readonly Circuit $circuit;

    /** @throws DocumentError if the rig cannot be run, or has not such a fault. */
    public function __construct(private readonly RigDocument $rig, Node $told, Formats $formats)
    {
        $world = $told->has('faults') ? Faults::in($rig, $told->nodes('faults'), $formats) : World::of($rig);
        $this->circuit = Circuit::of($world, $formats);
    }

    /** @return \stdClass Its `log` and `prompts`. */
    public function danced(int $seed, bool $isShort = false): \stdClass
    {
        $this->stand([]);
        foreach ((new DanceScript($this->rig, $isShort))->moves() as $k => $move) {
            $this->prompts[] = (object) ['move' => $k, 't_ms' => round($this->ms)];
            $this->make($move);
        }

        return (object) ['log' => $this->sampled(new Randomizer(new Mt19937($seed))), 'prompts' => $this->prompts];
    }

    private function make(Move $move): void
    {
        $ends = $move->isThrottle() ? [100] : [100, -100];
        match ($move->kind) {
            MoveKind::Rest => $this->hold(self::REST_MS),
            MoveKind::Switch => $this->flip($move->id ?? '', $move->positions),
            MoveKind::Knob => $this->turn(array_map(static fn (int $end): array => ['knobs' => [$move->id ?? '' => $end]], $ends)),
            MoveKind::Stick => $this->turn(array_map(static fn (int $end): array => ['sticks' => [$move->letter->value ?? '' => $end]], $ends)),
        };
        $this->hold(self::PAUSE_MS);
    }

    /** @param  list<array<string, array<string, int>>>  $ends  How the controls stand at each end, one after the other. */
    private function turn(array $ends): void
    {
        $this->hold(self::PAUSE_MS);
        foreach ($ends as $controls) {
            $this->ms += self::STICK_MS;
            $this->stand($controls);
            $this->hold(self::HOLD_MS);
        }
        $this->ms += self::STICK_MS;
        $this->stand([]);
    }

    private function flip(string $id, int $positions): void
    {
        $this->hold(self::PAUSE_MS);
        foreach ([...range(2, $positions), 1] as $position) {
            $this->ms += self::SWITCH_MS;
            $this->stand(['switches' => [$id => $position]]);
            $this->hold($position === 1 ? 0.0 : self::HOLD_MS);
        }
    }

    private function hold(float $ms): void
    {
        $this->ms += $ms;
        $last = end($this->frames);
        if ($last !== false) {
            $this->frames[] = [$this->ms, $last[1]];
        }
    }

    /**
     * Now the controls stand like this; the others rest.
     *
     * @param  array<string, array<string, int>>  $controls
     */
    private function stand(array $controls): void
    {
        $told = new Node((object) array_map(static fn (array $members): \stdClass => (object) $members, $controls));
        $receiver = $this->rig->boxes->lastReceiver()?->id;
        foreach ($this->circuit->run(Controls::fromNode($told, $this->rig))->couplings() as $coupling) {
            if ($coupling->from === $receiver) {
                $this->frames[] = [$this->ms, array_map(static fn (?float $us): float => $us ?? 0.0, $coupling->us ?? throw DocumentError::at('faults', 'Nothing arrives with this fault: there is nothing to see of a dance.', 'silent'))];

                return;
            }
        }
        throw DocumentError::at('', 'Nothing comes out of a receiver of this rig yet.', 'no_receiver');
    }

    /** @return list<\stdClass> */
    private function sampled(Randomizer $chance): array
    {
        [$rows, $at] = [[], 0];
        for ($ms = 0.0; $ms <= $this->ms; $ms += self::PERIOD_MS) {
            while ($at + 1 < count($this->frames) && $this->frames[$at + 1][0] <= $ms) {
                $at++;
            }
            [$from, $values] = $this->frames[$at];
            [$to, $next] = $this->frames[$at + 1] ?? [$from, $values];
            $share = $to > $from ? ($ms - $from) / ($to - $from) : 0.0;
            $rows[] = (object) ['t_ms' => $ms, 'us' => array_map(static fn (float $a, float $b): float => round($a + ($b - $a) * $share + self::noise($chance), 1), $values, $next)];
        }

        return $rows;
    }

    private static function noise(Randomizer $chance): float
    {
        // Four even chances together are nearly normal.
        $sum = 0.0;
        for ($k = 0; $k < 4; $k++) {
            $sum += $chance->getInt(-1000, 1000) / 1000;
        }

        return self::NOISE_US * $sum * sqrt(3.0 / 4.0);
    }
}
