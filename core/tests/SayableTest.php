<?php

declare(strict_types=1);

use Linguator\Core\Bench\Intents;
use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Order\MendOrder;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\IntentExamples;
use Linguator\Core\Tests\Situations;

/**
 * Every key of a rig's document is set by something that somebody means to do on a screen, or by the program itself.
 * What stands here is what no intent has to say.
 */
const MACHINE_MADE = [
    // Of the document and its history.
    'linguator' => 'version of the format', 'uid' => 'made at birth', 'log' => 'written with every intent',
    // The cards are copied from the shelf; the shelf has a test of its own for what a form can say.
    'chain' => 'copies of cards',
    // What judges a check later is written with it.
    'checks.made_with' => 'what a check was made with', 'sign_offs.made_with' => 'the same', 'settings.failsafe.made_with' => 'the same',
    // Kept of older documents; nothing asks for them any more.
    'settings.variant' => 'now part of the link', 'settings.channel_mode' => 'now part of the link', 'settings.noise_us' => 'now part of a reading',
    'checks.shows' => 'said of a test where nobody can know beforehand: FailsafeTest',
    'settings.channels.offset' => 'of the switch on that channel, which says its own', 'attempts.by' => 'a person is named where binding is proven',
];

/** @return array<string, true> Places of a document, lists and maps by `*`. */
function placesIn(mixed $value, array|bool $schema, string $at = ''): array
{
    $places = $at === '' ? [] : [$at => true];
    $schema = resolvedRigSchema(is_array($schema) ? $schema : []);
    if (is_array($value)) {
        foreach ($value as $item) {
            $places += placesIn($item, $schema['items'] ?? [], $at);
        }
    } elseif ($value instanceof stdClass) {
        foreach (get_object_vars($value) as $key => $item) {
            $own = $schema['properties'][$key] ?? null;
            $places += placesIn($item, is_array($own) ? $own : (is_array($schema['additionalProperties'] ?? null) ? $schema['additionalProperties'] : []), ltrim("$at.".($own === null ? '*' : $key), '.'));
        }
    }

    return $places;
}

/** @return array<string, true> Places that the schema knows, written the same way. */
function placesOf(array $schema, string $at = '', int $depth = 0): array
{
    $places = $at === '' ? [] : [$at => true];
    if (isset(MACHINE_MADE[$at]) || $depth > 8) {
        return $places;
    }
    $schema = resolvedRigSchema(is_array($schema) ? $schema : []);
    if (is_array($schema['items'] ?? null)) {
        $places += placesOf($schema['items'], $at, $depth + 1);
    }
    foreach ($schema['properties'] ?? [] as $key => $inner) {
        $places += placesOf(is_array($inner) ? $inner : [], ltrim("$at.$key", '.'), $depth + 1);
    }

    return $places;
}

/** A schema with what it refers to, and what its alternatives have, in one. */
function resolvedRigSchema(array $schema): array
{
    static $files = [];
    $ref = $schema['$ref'] ?? null;
    if (is_string($ref)) {
        [$file, $place] = explode('#', $ref) + [1 => ''];
        $file = $file === '' ? 'rig.schema.json' : $file;
        $whole = $files[$file] ??= json_decode((string) file_get_contents(dirname(__DIR__)."/schema/$file"), true);
        foreach (array_filter(explode('/', $place)) as $part) {
            $whole = $whole[$part];
        }
        // Within another file its own references are meant.
        $schema = array_diff_key($schema, ['$ref' => 0]) + json_decode(str_replace('"$ref":"#', '"$ref":"'.$file.'#', (string) json_encode($whole, JSON_UNESCAPED_SLASHES)), true);

        return resolvedRigSchema($schema);
    }
    foreach (['anyOf', 'oneOf', 'allOf'] as $either) {
        foreach ($schema[$either] ?? [] as $alternative) {
            $alternative = resolvedRigSchema($alternative);
            $schema['properties'] = ($schema['properties'] ?? []) + ($alternative['properties'] ?? []);
            $schema += $alternative;
        }
    }

    return $schema;
}

/** What of a value was not there before: of lists their new items, of maps their new or other keys. */
function freshIn(mixed $before, mixed $after): mixed
{
    if ($after instanceof stdClass) {
        $fresh = new stdClass;
        foreach (get_object_vars($after) as $key => $value) {
            $was = $before instanceof stdClass ? $before->{$key} ?? null : null;
            if (json_encode($was) !== json_encode($value)) {
                $fresh->{$key} = freshIn($was, $value);
            }
        }

        return $fresh;
    }
    if (is_array($after) && is_array($before)) {
        $had = array_map(json_encode(...), $before);

        return array_values(array_map(
            // An item that was changed keeps its place: what it has new is what was said.
            static fn (mixed $item, int $k): mixed => freshIn(count($before) === count($after) ? $before[$k] : null, $item),
            array_filter($after, static fn (mixed $item): bool => ! in_array(json_encode($item), $had, true)),
            array_keys(array_filter($after, static fn (mixed $item): bool => ! in_array(json_encode($item), $had, true))),
        ));
    }

    return $after;
}

it('leaves no key of a rig that nobody could say on a screen', function () {
    $schema = json_decode((string) file_get_contents(dirname(__DIR__).'/schema/rig.schema.json'), true);
    $said = [];
    $intents = new Intents(new Linguator\Core\Document\Schemas);
    foreach (IntentExamples::ALL as [$rig, $intent, $told]) {
        $before = DemoRigs::get($rig);
        $read = $intents->read($intent, json_decode((string) json_encode((object) $told)));
        $said += placesIn(freshIn($before->document, DemoRigs::did($before, $read)->document), $schema);
    }
    $unmapped = DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['settings.remap' => (object) ['brack-m4' => false], 'settings.plugs' => 'labels']));
    $said += placesIn(freshIn($unmapped->document, DemoRigs::did($unmapped, new MendOrder(FixPlace::Module, 'brack-m4'))->document), $schema);
    foreach (array_keys(Situations::all()) as $name) {
        $said += placesIn(json_decode(Json::compact(BenchRigs::get($name)->document)), $schema);
    }
    expect(array_values(array_diff(array_keys(placesOf($schema)), array_keys($said), array_keys(MACHINE_MADE))))->toBe([]);
});

it('has every intent sent by some screen', function () {
    $screens = '';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/resources/js', FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = $file->getPathname();
        if (preg_match('/\.(vue|ts)$/', $path) === 1 && ! str_contains($path, '/generated/') && ! str_ends_with($path, '.spec.ts')) {
            $screens .= file_get_contents($path);
        }
    }
    $unsent = array_filter(array_keys(Intents::ALL), static fn (string $intent): bool => ! str_contains($screens, "'$intent'"));
    expect(array_values($unsent))->toBe([]);
});
