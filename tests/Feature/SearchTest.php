<?php

declare(strict_types=1);

use Linguator\Core\Search\Glossary;
use Linguator\Core\Search\Places;
use Linguator\Core\Search\Word;

it('finds steps, places, words, captures and what was done, the nearest first', function (string $words, string $kind, string $id) {
    $this->demo();
    $hits = $this->getJson('/api/v1/search?q='.urlencode($words))->assertOk()->json('hits');
    expect($hits[0]['kind'])->toBe($kind)->and($hits[0]['id'])->toBe($id);
})->with([
    'a rig' => ['dunlin', 'rig', 'dunlin'],
    'a step of it' => ['dunlin travel', 'step', 'dunlin/travel'],
    'by another word for it' => ['avocet expo', 'step', 'avocet/switches'],
    'a tool' => ['expo', 'place', '/tools/rates'],
    'something to do' => ['import', 'place', '/#keeping'],
    'a word of the work' => ['sub-trim model', 'word', 'sub-trim model'],
    'what was done' => ['relay power pulled', 'entry', 'oystercatcher/2'],
    'a capture' => ['mudlark-train', 'capture', '1'],
]);

it('offers every place before anything is typed, and nothing else', function () {
    $this->demo();
    $hits = $this->getJson('/api/v1/search?q=')->assertOk()->json('hits');
    expect(array_unique(array_column($hits, 'kind')))->toBe(['place'])->and(count($hits))->toBe(count(Places::all()));
});

it('leads to addresses that there are', function () {
    $router = (string) file_get_contents(base_path('resources/js/router.ts'));
    $tools = array_map(basename(...), glob(base_path('resources/js/pages/tools/*'), GLOB_ONLYDIR) ?: []);
    foreach (Places::all() as $place) {
        $path = (string) parse_url($place['path'], PHP_URL_PATH);
        $first = explode('/', $path)[1];
        expect($router)->toContain("path: '/$first");
        if ($first === 'tools') {
            expect($tools)->toContain(basename($path));
        }
    }
});

it('explains each word once, and every word that a screen underlines', function () {
    $words = array_map(static fn (Word $one): string => $one->word, Glossary::words());
    expect(array_unique($words))->toBe($words)->and($this->getJson('/api/v1/words')->assertOk()->json('words'))->toHaveCount(count($words));
    foreach (Glossary::words() as $word) {
        expect($word->says)->toEndWith('.')->and(array_diff($word->see, $words))->toBe([]);
    }
    $screens = implode("\n", array_map(file_get_contents(...), [...glob(base_path('resources/js/*/*.vue')) ?: [], ...glob(base_path('resources/js/*/*/*.vue')) ?: []]));
    preg_match_all('/<WordHint word="([^"]+)"/', $screens, $hints);
    $lists = implode("\n", array_map(file_get_contents(...), [...glob(base_path('resources/js/pages/tools/*/index.ts')) ?: [], base_path('resources/js/pages/shelf/fields.ts')]));
    preg_match_all('/(?:<WordLine :words="| words: )\[([^\]]+)\]/', $screens.$lists, $lines);
    $used = [...$hints[1], ...array_merge(...array_map(static fn (string $line): array => array_map(static fn (string $one): string => trim($one, " '"), explode(',', $line)), $lines[1]))];
    expect($used)->not->toBe([])->and(array_values(array_diff($used, $words)))->toBe([]);
});
