<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Circuit;
use Linguator\Core\DryBench\Controls;
use Linguator\Core\DryBench\Coupling;
use Linguator\Core\DryBench\Craft;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\Lost;
use Linguator\Core\DryBench\Simulation;
use Linguator\Core\DryBench\Wave;
use Linguator\Core\DryBench\World;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;

/** A rig on the dry bench while its controls stand like this: what the verb `simulate` shows, what it should be, and waves for the probes. */
final readonly class DryBenchShown
{
    public function __construct(private RigDocument $rig, private Formats $formats)
    {
    }

    /**
     * @param  Node  $told  What has passed `dry-bench-question.schema.json`.
     *
     * @throws DocumentError at what this rig has not.
     */
    public function at(Node $told): \stdClass
    {
        return $this->in(Faults::in($this->rig, $told->nodes('faults'), $this->formats), $told);
    }

    /**
     * The same of a rig that is as it is, whatever faults are told.
     *
     * @throws DocumentError at what this rig has not.
     */
    public function in(World $world, Node $told): \stdClass
    {
        $controls = Controls::fromNode($told, $this->rig);
        $lost = Lost::fromNode($told, $this->rig);
        $run = Circuit::of($world, $this->formats)->run($controls, $lost);
        $couplings = $run->couplings();
        $planned = $lost === [] && $world->isAsPlanned() ? null : new Craft(Circuit::of(World::of($this->rig), $this->formats)->run($controls));
        $waves = array_map(fn (float $k): ?Wave => isset($couplings[(int) $k]) ? Wave::of((int) $k, $couplings[(int) $k], $this->formats) : null, $told->numbersOrNull('waves') ?? []);

        return (object) [
            ...get_object_vars((new Simulation($run, $controls))->answer()),
            'planned' => $planned?->values(),
            'waves' => array_values(array_filter($waves)),
            'names' => array_map($this->name(...), $couplings),
            'carried' => array_map($this->carried(...), $couplings),
        ];
    }

    /** What runs there, in words: "Pulse train", "weft-8". */
    private function carried(Coupling $coupling): string
    {
        return $this->formats->get($coupling->via)->name ?? SettingNames::way($coupling->via);
    }

    private function name(Coupling $coupling): string
    {
        return "{$this->rig->nameOf($coupling->from)} → {$this->rig->nameOf($coupling->to)}";
    }
}
