<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\Node;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\Probe;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigReader;

/** What does a test of the diagnosis show on this rig, with these faults? */
final readonly class ProbeVerb implements Verb
{
    public function __construct(private Formats $formats)
    {
    }

    public static function name(): string
    {
        return 'probe';
    }

    public static function summary(): string
    {
        return 'What a test of the diagnosis shows on a simulated rig with faults, worked out from the simulation.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $rig = RigReader::whole($input->rig, 'rig');

        return (new Probe($rig, Faults::in($rig, $node->nodes('faults'), $this->formats), $this->formats))->make($node->text('test'));
    }
}
