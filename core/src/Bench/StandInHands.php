<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

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

/** Nobody's hands at a rig's dry bench: controls are moved and held, and its last receiver sends what comes of it, with the noise of a real one. */
final class StandInHands
{
    private const PERIOD_MS = 20.0;

    private const NOISE_US = 0.7;

    /** @var list<array{float, list<float>}> When (ms), and what is sent then (µs by channel); straight in between. */
    private array $frames = [];

    private float $ms = 0.0;

    private readonly Circuit $circuit;

    /**
     * @param  Node  $told  With `faults` that are in it, if any.
     *
     * @throws DocumentError if the rig cannot be run, or has not such a fault.
     */
    public function __construct(private readonly RigDocument $rig, Node $told, Formats $formats)
    {
        $world = $told->has('faults') ? Faults::in($rig, $told->nodes('faults'), $formats) : World::of($rig);
        $this->circuit = Circuit::of($world, $formats);
        $this->stand([]);
    }

    /**
     * The controls go there, the others to rest; it takes so long.
     *
     * @param  array<string, array<string, int>>  $controls  As `Controls` takes them: sticks, switches, knobs.
     */
    public function move(array $controls, float $ms): void
    {
        $this->ms += $ms;
        $this->stand($controls);
    }

    public function hold(float $ms): void
    {
        $this->ms += $ms;
        $last = end($this->frames);
        if ($last !== false) {
            $this->frames[] = [$this->ms, $last[1]];
        }
    }

    /** How long it has lasted, ms. */
    public function ms(): float
    {
        return $this->ms;
    }

    /** @return list<\stdClass> Rows of `t_ms` and `us`. */
    public function log(int $seed): array
    {
        return $this->sampled(new Randomizer(new Mt19937($seed)));
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
