<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Document\Json;
use Linguator\Core\DryBench\Controls;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\NotHere;
use Linguator\Core\DryBench\Probe;
use Linguator\Core\DryBench\World;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;

/** Rigs to be run on the dry bench: the demo's, and every situation carried to its sheet. */
final class BenchRigs
{
    private const DEMO = ['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'];

    /** @var array<string, RigDocument> */
    private static array $walked = [];

    /** @return list<string> */
    public static function names(): array
    {
        return [...self::DEMO, ...array_keys(Situations::all())];
    }

    public static function get(string $name): RigDocument
    {
        return in_array($name, self::DEMO, true) ? DemoRigs::get($name) : self::$walked[$name] ??= Situations::walked(Situations::all()[$name])->rig;
    }

    /** A rig of the worked cases, by the place of its case. */
    public static function golden(int $case): RigDocument
    {
        foreach (Golden::cases('simulate') as [, $one]) {
            if ($case-- === 0) {
                return RigReader::whole(Json::decode(Json::compact($one->in->rig)), 'rig');
            }
        }
        throw new \LogicException('There is no such case.');
    }

    /** @return array<string, World> Every fault that a rig can have, by its cause. */
    public static function faulty(RigDocument $rig): array
    {
        $worlds = [];
        $faults = new Faults($rig, Formats::shipped());
        foreach (Fault::causes() as $cause) {
            try {
                $fault = Fault::tryOf($cause);
                assert($fault !== null);
                $worlds[$cause] = $faults->put(World::of($rig), $fault);
            } catch (NotHere) {
                continue;
            }
        }

        return $worlds;
    }

    public static function probe(RigDocument $rig, ?World $world = null): Probe
    {
        return new Probe($rig, $world ?? World::of($rig), Formats::shipped());
    }

    /** Controls that stand anywhere, of a chance that can be played again. */
    public static function anywhere(RigDocument $rig): Controls
    {
        $controls = Controls::resting();
        foreach (\Linguator\Core\DryBench\Control::allOf($rig) as $control) {
            $controls = $control->at($controls, mt_rand(-100, 100) / 100);
        }

        return $controls;
    }
}
