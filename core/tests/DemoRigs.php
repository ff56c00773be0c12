<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReader;
use Linguator\Core\Rig\RigReview;

/** The rigs of the demo bench, read as a user's files are. */
final class DemoRigs
{
    public static function get(string $name): RigDocument
    {
        $cards = [];
        foreach (glob(dirname(__DIR__, 2).'/demo/gear/*.yaml') ?: [] as $file) {
            foreach (Yaml::decodeAll((string) file_get_contents($file)) as $document) {
                $cards[$document['value']->id] = $document['value'];
            }
        }
        $reader = new RigReader(new Schemas, static fn (string $id): ?\stdClass => $cards[$id] ?? null);

        return $reader->fromText((string) file_get_contents(dirname(__DIR__, 2)."/demo/rigs/$name.yaml"));
    }

    /** The rig with a change made to it, checked against the schema as every change is. */
    public static function changed(RigDocument $rig, RigPatch $patch): RigDocument
    {
        return (new RigReader(new Schemas))->fromDocument(json_decode((string) json_encode($patch->apply($rig->document)['document'])));
    }

    public static function review(RigDocument $rig): array
    {
        return json_decode((string) json_encode((new RigReview($rig))->toArray(), JSON_PRESERVE_ZERO_FRACTION), true);
    }
}
