<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Circuit;
use Linguator\Core\DryBench\Controls;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\Lost;
use Linguator\Core\DryBench\Simulation;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigReader;

/** What runs through a rig while its controls stand like this, and what does the craft? */
final readonly class SimulateVerb implements Verb
{
    public function __construct(private Formats $formats)
    {
    }

    public static function name(): string
    {
        return 'simulate';
    }

    public static function summary(): string
    {
        return 'A rig run from its sticks to its craft: every coupling\'s values, counts and bytes, windows, arming, lights, losses, with faults if wanted.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $rig = RigReader::whole($input->rig, 'rig');
        $circuit = Circuit::of(Faults::in($rig, $node->nodes('faults'), $this->formats), $this->formats);
        $controls = Controls::fromNode($node, $rig);

        return (new Simulation($circuit->run($controls, Lost::fromNode($node, $rig)), $controls))->answer();
    }
}
