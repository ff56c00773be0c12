<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReader;

/** The rigs of the demo bench, read as a user's files are. */
final class DemoRigs
{
    public static function get(string $name): RigDocument
    {
        return (new RigReader(new Schemas, self::shelf()))->fromText((string) file_get_contents(dirname(__DIR__, 2)."/demo/rigs/$name.yaml"));
    }

    /** The rig with a change made to it, checked against the schema as every change is. */
    public static function changed(RigDocument $rig, RigPatch $patch): RigDocument
    {
        return (new RigReader(new Schemas, self::shelf()))->fromDocument(json_decode((string) json_encode($patch->apply($rig->document)->document)));
    }

    /** The rig after somebody did this to it, with the demo's shelf at hand. */
    public static function did(RigDocument $rig, Intent $intent, string $at = '2026-11-24T10:00:00Z'): RigDocument
    {
        return self::changed($rig, $intent->on($rig, new Occasion($at, self::shelf()))->patch);
    }

    public static function shelf(): Shelf
    {
        $cards = [];
        foreach (glob(dirname(__DIR__, 2).'/demo/gear/*.yaml') ?: [] as $file) {
            foreach (Yaml::decodeAll((string) file_get_contents($file)) as $document) {
                $cards[$document['value']->id] = $document['value'];
            }
        }

        return new Shelf(static fn (string $id): ?\stdClass => $cards[$id] ?? null);
    }

    public static function readiness(RigDocument $rig): ReadinessReview
    {
        return (new RigReview($rig))->readiness;
    }

    public static function review(RigDocument $rig): array
    {
        return json_decode((string) json_encode(Plain::of((new RigReview($rig))->shown()), JSON_PRESERVE_ZERO_FRACTION), true);
    }
}
