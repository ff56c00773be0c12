<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\SchemaCompiler;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;

/** What the validator alone says. */
function validatorSays(\stdClass $document, string $schema): bool
{
    static $alone = null;
    // A folder of its own is never compiled.
    $alone ??= new Schemas(Schemas::folder());
    try {
        $alone->check($document, $schema);

        return true;
    } catch (DocumentError) {
        return false;
    }
}

/** @return array<string, list<array{string, \stdClass}>> Sound documents of every schema that is asked, by schema. */
function soundDocuments(): array
{
    $documents = [];
    foreach (glob(dirname(__DIR__, 2).'/tests/fixtures/vectors/*.json') ?: [] as $file) {
        $schema = 'verbs/'.basename($file, '.json').'.in.json';
        foreach (is_file(Schemas::folder()."/$schema") ? Json::decode((string) file_get_contents($file))->cases ?? [] : [] as $case) {
            if (($case->in ?? null) instanceof \stdClass && validatorSays($case->in, $schema)) {
                $documents[$schema][] = $case->in;
            }
        }
    }
    foreach (['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'] as $name) {
        $documents['rig.schema.json'][] = DemoRigs::get($name)->canonical();
        $documents['verbs/readiness.in.json'][] = (object) ['rig' => DemoRigs::get($name)->canonical()];
    }
    foreach (glob(dirname(__DIR__, 2).'/demo/gear/*.yaml') ?: [] as $file) {
        foreach (Yaml::decodeAll((string) file_get_contents($file)) as $document) {
            $documents['gear-card.schema.json'][] = $document['value'];
        }
    }
    foreach (glob(dirname(__DIR__).'/data/formats/*.yaml') ?: [] as $file) {
        $documents['format-card.schema.json'][] = Yaml::decodeAll((string) file_get_contents($file))[0]['value'];
    }

    return $documents;
}

it('compiles what passes: every sound document is known as sound without the validator', function () {
    $schemas = new Schemas;
    $all = soundDocuments();
    expect(count($all))->toBeGreaterThan(15);
    foreach ($all as $schema => $documents) {
        foreach ($documents as $document) {
            expect($schemas->passes($document, $schema))->toBeTrue($schema);
        }
    }
});

it('never passes what the validator refuses', function () {
    mt_srand(2812);
    $schemas = new Schemas;
    [$asked, $refused] = [0, 0];
    foreach (soundDocuments() as $schema => $documents) {
        for ($k = 0; $k < 300; $k++) {
            $document = Spoil::value($documents[mt_rand(0, count($documents) - 1)]);
            if (! $document instanceof \stdClass) {
                continue;
            }
            $asked++;
            $passes = $schemas->passes($document, $schema);
            $refused += $passes ? 0 : 1;
            if ($passes) {
                expect(validatorSays($document, $schema))->toBeTrue("$schema passes ".Json::compact($document));
            }
        }
    }
    expect($asked)->toBeGreaterThan(4000)->and($refused)->toBeGreaterThan(400);
});

it('has every schema compiled as it stands, and asks the validator where it is not', function () {
    foreach (glob(Schemas::folder().'/{,verbs/}*.json', GLOB_BRACE) ?: [] as $path) {
        $file = substr($path, strlen(Schemas::folder()) + 1);
        expect(file_get_contents(Schemas::compiledFolder().'/'.SchemaCompiler::fileName($file)))->toBe((new SchemaCompiler(Schemas::folder(), $file))->php());
    }
    $order = (object) ['handset' => 'AETR', 'reader' => (object) ['kind' => 'pins', 'order' => 'TAER']];
    expect((new Schemas)->passes($order, 'verbs/order.in.json'))->toBeTrue()->and((new Schemas(Schemas::folder()))->passes($order, 'verbs/order.in.json'))->toBeFalse();
});

it('has every table of data as code, and it is what the YAML says', function () {
    $names = ['wire-formats.yaml', ...array_map(static fn (string $file): string => 'formats/'.basename($file), glob(DataFile::folder().'/formats/*.yaml') ?: [])];
    expect(count($names))->toBeGreaterThan(7);
    foreach ($names as $name) {
        expect(file_get_contents(Schemas::compiledFolder().'/'.DataFile::fileName($name)))->toBe(DataFile::php($name))
            ->and(DataFile::read($name))->toEqual(Yaml::decodeAll((string) file_get_contents(DataFile::folder()."/$name"))[0]['value']);
    }
});

it('refuses to compile a keyword it does not know', function () {
    $folder = sys_get_temp_dir().'/linguator-schema-'.bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("$folder/odd.json", '{"type":"object","properties":{"a":{"contains":{"type":"string"}}}}');
    expect(fn () => (new SchemaCompiler($folder, 'odd.json'))->php())->toThrow(\LogicException::class, 'contains');
    array_map(unlink(...), glob("$folder/*"));
    rmdir($folder);
});
