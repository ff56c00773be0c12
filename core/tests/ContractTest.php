<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Tests\Places;
use Linguator\Core\Verb\Verbs;

/** The error of a question, or null if it is answered. */
function refusal(string $verb, mixed $question): ?DocumentError
{
    try {
        Json::compact((new Verbs(new Schemas))->ask($verb, $question));
    } catch (DocumentError $error) {
        return $error;
    }

    return null;
}

/** @return list<string> Places in a schema where a whole number has no bounds. */
function unbounded(mixed $schema, string $path): array
{
    $found = [];
    foreach (is_array($schema) || $schema instanceof stdClass ? $schema : [] as $key => $below) {
        array_push($found, ...unbounded($below, "$path/$key"));
    }
    if ($schema instanceof stdClass && in_array('integer', (array) ($schema->type ?? []), true) && ! isset($schema->minimum, $schema->maximum)) {
        $found[] = $path;
    }

    return $found;
}

it('bounds every whole number that comes in, so that none is cut to another one', function () {
    $root = dirname(__DIR__).'/schema';
    $files = [...glob("$root/*.json"), ...glob("$root/verbs/*.in.json")];
    expect(count($files))->toBeGreaterThan(15);
    foreach ($files as $file) {
        expect(unbounded(json_decode((string) file_get_contents($file)), basename($file)))->toBe([]);
    }
});

it('names an unknown key by its own place, in every object of every verb', function (string $verb, stdClass $question) {
    expect(refusal($verb, $question))->toBeNull();
    mt_srand(42);
    $refused = 0;
    foreach (Places::some($question) as $path => $value) {
        if ($value instanceof stdClass) {
            $strange = clone $value;
            $strange->zzz = 1;
            $error = refusal($verb, Places::with($question, $path, $strange));
            // Maps of the user's own names take any key, but not a bare number where something else belongs.
            expect($error->path ?? ltrim("$path.zzz", '.'))->toBe(ltrim("$path.zzz", '.'));
            $refused += $error === null ? 0 : 1;
        }
    }
    expect($refused)->toBeGreaterThan(0);
})->with(fn () => Places::questions(2));

it('names a missing key by the place it should have had', function (string $verb, stdClass $question) {
    mt_srand(43);
    $missing = 0;
    foreach (Places::some($question) as $path => $value) {
        foreach ($value instanceof stdClass ? array_keys(get_object_vars($value)) : [] as $key) {
            $error = refusal($verb, Places::without($question, $path, (string) $key));
            if ($error?->errorCode === 'missing_key') {
                expect($error->path)->toBe(ltrim("$path.$key", '.'))->and($error->getMessage())->toContain("\"$key\"");
                $missing++;
            }
        }
    }
    expect($missing)->toBeGreaterThan(0);
})->with(fn () => Places::questions(2));

it('answers or refuses whatever stands at a place, and points at it or above it', function (string $verb, stdClass $question) {
    mt_srand(41);
    $others = [null, true, -1, 0, 1e308, 0.1, '', 'x', "\u{202e}\0", [], [[]], new stdClass, str_repeat('9', 400)];
    $asked = 0;
    $places = array_filter(array_keys(iterator_to_array(Places::of($question))), fn (string $path): bool => $path !== '');
    shuffle($places);
    foreach (array_slice($places, 0, 25) as $path) {
        shuffle($others);
        foreach (array_slice($others, 0, 5) as $other) {
            $error = refusal($verb, Places::with($question, $path, $other));
            if ($error !== null) {
                expect($error->getMessage())->toMatch('/\.$/')
                    ->and(strlen($error->getMessage()))->toBeLessThan(700)
                    ->and(array_intersect([explode('.', $error->path)[0]], ['', ...array_map(strval(...), array_keys(get_object_vars($question))), ...['format', 'card', 'region']]))->not->toBe([], "$path ".json_encode($other)." → $error->path");
            }
            $asked++;
        }
    }
    expect($asked)->toBeGreaterThan(9);
})->with(fn () => Places::questions(1));
