<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Parts;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/**
 * Tests of the diagnosis, made on a simulated rig: each is worked out from what the simulation shows, or from what is to be seen on the boxes,
 * beside the rig as it is planned; never from what the knowledge expects of it.
 */
final readonly class Probe
{
    private ValueTests $values;

    private BoxTests $boxes;

    private LinkTests $links;

    private FitTests $fits;

    public function __construct(RigDocument $planned, World $real, private Formats $formats)
    {
        $plan = new Sight(Circuit::of(World::of($planned), $this->formats));
        $sight = new Sight(Circuit::of($real, $this->formats));
        $this->values = new ValueTests($plan, $sight);
        $this->boxes = new BoxTests($sight);
        $this->links = new LinkTests($plan, $sight);
        $this->fits = new FitTests($plan);
    }

    /**
     * @throws DocumentError at `test` for one that there is not, or that cannot be made on this rig.
     */
    public function make(string $id): ProbeAnswer
    {
        $test = Knowledge::shipped()->tests[$id] ?? throw DocumentError::at('test', "There is no test \"$id\".", 'no_such_test');
        $missing = $this->fits->missing($test->id);
        if ($missing !== null) {
            throw DocumentError::at('test', "$id cannot be made on this rig: $missing", 'not_here');
        }
        $seen = $this->seen($test);

        return new ProbeAnswer($seen->outcome, self::sentence($test, $seen), $test->minutes);
    }

    /** Whether a test can be made on this rig. */
    public function fits(string $test): bool
    {
        return $this->fits->missing($test) === null;
    }

    /** @return list<string> Tests that can be made on this rig, in the order of the knowledge. */
    public function tests(): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys(Knowledge::shipped()->tests)), $this->fits(...)));
    }

    public static function partsOf(RigDocument $rig): Parts
    {
        return new Parts($rig->boxes->modules() !== [], count($rig->boxes->hops()) > 1, $rig->boxes->hasController());
    }

    private function seen(FaultTest $test): Seen
    {
        return $this->values->see($test->id) ?? $this->links->see($test->id) ?? $this->boxes->see($test->id) ?? throw new \LogicException("Nobody knows how to make the test $test->id.");
    }

    private static function sentence(FaultTest $test, Seen $seen): string
    {
        $words = ucfirst($test->outcomes[$seen->outcome] ?? $seen->outcome).'.';

        return $seen->detail === null ? $words : "$words $seen->detail";
    }
}
