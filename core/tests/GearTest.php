<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Plug;
use Linguator\Core\Gear\PlugPin;
use Linguator\Core\Search\BenchSearch;

/** @return array<string, array{string}> The demo cards as files, by name. */
function cardFiles(): array
{
    $files = [];
    foreach (glob(dirname(__DIR__, 2).'/demo/gear/*.yaml') as $file) {
        $files[basename($file, '.yaml')] = [(string) file_get_contents($file)];
    }

    return $files;
}

/** @return list<GearCard> */
function demoShelf(): array
{
    return array_merge(...array_map(fn (array $file): array => (new CardReader(new Schemas))->fromText($file[0]), array_values(cardFiles())));
}

function refusedCard(string $text): DocumentError
{
    try {
        (new CardReader(new Schemas))->fromText($text);
    } catch (DocumentError $error) {
        return $error;
    }
    test()->fail('The card was taken.');
}

const PLAIN_CARD = "id: r\nkind: receiver\nname: R\noutputs: [s100i]\n";

it('reads every demo card, and what it writes is read as the same', function (string $text) {
    foreach ((new CardReader(new Schemas))->fromText($text) as $card) {
        $canonical = Json::pretty($card->canonical());
        foreach ([$canonical, Yaml::dump($card->canonical()), '['.$canonical.']'] as $written) {
            $again = (new CardReader(new Schemas))->fromText($written);
            expect($again)->toHaveCount(1)->and(Json::pretty($again[0]->canonical()))->toBe($canonical);
        }
        expect($card->box()->id())->toBe($card->id)->and($card->box()->name())->toBe($card->name);
    }
})->with(cardFiles());

it('places a fault by card, path and line', function (string $text, string $code, string $path, ?int $line) {
    $error = refusedCard($text);
    expect([$error->errorCode, $error->path, $error->sourceLine])->toBe([$code, $path, $line]);
})->with([
    'a key misspelt' => [PLAIN_CARD."teletry: true\n", 'unknown_key', 'teletry', 5],
    'a kind that is none' => ["id: r\nkind: reciever\nname: R\n", 'invalid', 'kind', 2],
    'a name missing' => ["id: r\nkind: receiver\n", 'missing_key', 'name', 1],
    'limits upside down' => [PLAIN_CARD."supply:\n  max_v: 4\n  min_v: 10\n", 'upside_down', 'supply.min_v', 7],
    'levels of the second input upside down' => ["id: c\nkind: controller\nname: C\ninputs:\n- s100i\n- format: ppm\n  level_min_v: 5\n  level_max_v: 2\n", 'upside_down', 'inputs.1.level_min_v', 7],
    'a servo that cannot move' => ["id: s\nkind: servo_set\nname: S\nservos:\n- function: aileron\n  safe_lo_us: 1900\n  safe_hi_us: 1100\n", 'upside_down', 'servos.0.safe_lo_us', 6],
    'in the second of two documents' => [PLAIN_CARD."---\nid: x\nkind: module\nname: X\nsupply: {min_v: twelve}\n", 'invalid', '1.supply.min_v', 9],
    'in the second of a list' => ["- {id: r, kind: receiver, name: R}\n- id: x\n  kind: module\n  name: X\n  powers_mw: much\n", 'invalid', '1.powers_mw', 5],
    'in JSON' => ["[\n  {\"id\": \"r\", \"kind\": \"receiver\", \"name\": \"R\"},\n  {\n    \"id\": \"x\",\n    \"kind\": \"module\",\n    \"name\": 7\n  }\n]", 'invalid', '1.name', 6],
    'half a document' => ["[\n {\"id\": \"r\",\n", 'not_json', '', 3],
    'nothing' => ["# nothing here\n", 'empty', '', null],
    'an empty list' => ['[]', 'empty', '', null],
    'a bare word' => ['receiver', 'not_an_object', '', 1],
]);

it('takes a card in braces as YAML too', function () {
    expect((new CardReader(new Schemas))->fromText('{id: r, kind: receiver, name: R}')[0]->name)->toBe('R');
});

/** @return list<string> "kind id" of what is found. */
function foundBy(string $words, ?Closure $more = null): array
{
    $search = new BenchSearch($words);
    $search->named('format/s100i', ['old inverted serial']);
    $search->named('variant/weft/weft-8', ['the eight']);
    array_map($search->card(...), demoShelf());
    $search->formats();
    $search->rig('avocet', 'Avocet', 'ready', ['Ostrel 9', 'Tarn T7']);
    $search->capture(7, 'Avocet sticks.csv');
    if ($more !== null) {
        $more($search);
    }

    return array_map(fn (array $hit): string => "{$hit['kind']} {$hit['id']}", $search->hits());
}

it('finds by any word or number that stands on a thing, every word, in any case', function (string $words, array $first, array $absent) {
    $found = foundBy($words);
    foreach ($first as $hit) {
        expect($found)->toContain($hit);
    }
    expect(array_intersect($absent, $found))->toBe([]);
})->with([
    'what the manual says' => ['100000 8E2', ['format s100i'], ['format s420c', 'format s115u']],
    'its alias' => ['OLD inverted', ['format s100i'], ['format s115f']],
    'a variant by its alias' => ['eight', ['variant weft/weft-8'], ['rig avocet']],
    'a box in a chain' => ['ostrel', ['card ostrel-9', 'rig avocet'], ['capture 7']],
    'a family' => ['sisal', ['card sisal-s4p', 'card longshore'], ['card tarn-t7']],
    'a format that a card reads' => ['pulse train', ['format ppm', 'card keelson-plus'], ['rig avocet']],
    'two words, of which one is wrong' => ['avocet heron', [], ['rig avocet', 'capture 7']],
    'nothing typed' => ['  ', [], ['rig avocet', 'format s100i']],
]);

it('puts first what begins with the words, then what has them in its name', function () {
    expect(foundBy('avo'))->toEqualCanonicalizing(['rig avocet', 'capture 7', 'card avocet-servos'])->and(foundBy('tarn t7')[0])->toBe('card tarn-t7');
    $sticks = fn (BenchSearch $search) => [$search->capture(8, 'Old sticks'), $search->capture(9, 'Sticks of the Avocet')];
    expect(foundBy('sticks', $sticks))->toBe(['capture 9', 'capture 7', 'capture 8']);
    $many = fn (BenchSearch $search) => array_map(fn (int $k) => $search->capture($k, "Sedge $k"), range(100, 160));
    expect(foundBy('sedge', $many))->toHaveCount(30);
});

it('knows every shipped format by its id, its name and its line', function () {
    foreach (FormatCards::all() as $card) {
        expect(foundBy($card->reportedAs))->toContain("format $card->reportedAs");
    }
});

it('lists each order of pins once, the usual one first, with a key and a name that say it', function () {
    $gear = array_map(fn ($card) => $card->box(), demoShelf());
    $plugs = Plug::on(...$gear, ...$gear);
    expect(array_key_first($plugs))->toBe('signal-plus-ground')
        ->and(array_keys(Plug::on()))->toBe(['signal-plus-ground'])
        ->and(array_keys($plugs))->toContain('ground-plus-signal')
        ->and(Plug::told('ground-data-free'))->toBe('a plug of 3 pins: ground, data back, not used');
    foreach ($plugs as $key => $plug) {
        expect(implode('-', array_map(fn (PlugPin $pin): string => $pin->value, $plug->pins)))->toBe($key);
    }
});

it('finds a plug by what a manual calls it', function () {
    $search = new BenchSearch('three-hole');
    $search->named('plug/signal-plus-ground', ['Three-hole lead']);
    expect($search->hits())->toBe([['kind' => 'plug', 'id' => 'signal-plus-ground', 'title' => 'A plug of 3 pins: signal, plus, ground', 'line' => 'called Three-hole lead']]);
});
