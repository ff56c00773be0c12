<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\JsonLines;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Document\YamlLines;
use Linguator\Core\Tests\Places;

/** Some document; every leaf is a text or number that stands nowhere else in it. */
function someDocument(int $depth = 0): mixed
{
    static $leaf = 1000;
    $kind = $depth === 0 ? 1 : ($depth > 4 ? 2 : mt_rand(0, 3));
    if ($kind >= 2) {
        return mt_rand(0, 2) === 0 ? 100_000 + ++$leaf : ['leaf '.++$leaf.' ends', 'leaf, {'.++$leaf.']: ends', 'leaf "'.++$leaf.'" # ends'][mt_rand(0, 2)];
    }
    $items = array_map(fn (): mixed => someDocument($depth + 1), range(1, mt_rand(1, 4)));

    return $kind === 0 ? $items : (object) array_combine(array_map(fn (int $k): string => ['name', 'us', 'a key', 'true', 'line_'][$k % 5].$k, array_keys($items)), $items);
}

/** Line of the text on which the only leaf of this value stands. */
function lineOf(string $text, string|int $leaf): int
{
    preg_match('/\d+/', (string) $leaf, $number);
    $lines = array_keys(array_filter(explode("\n", $text), fn (string $line): bool => preg_match("/(?<!\\d)$number[0](?!\\d)/", $line) === 1));
    expect($lines)->toHaveCount(1);

    return $lines[0] + 1;
}

it('finds the line of every value, in JSON and in YAML', function () {
    mt_srand(51);
    for ($k = 0; $k < 60; $k++) {
        $document = someDocument();
        [$json, $yaml] = [Json::pretty($document), Yaml::dump($document)];
        foreach (Places::of($document) as $path => $value) {
            if (! is_scalar($value)) {
                continue;
            }
            expect(JsonLines::of($json, $path))->toBe(lineOf($json, $value), "$path in\n$json");
            // Beyond six levels YAML is written on one line, and so it is with JSON in a single line.
            expect(YamlLines::of($yaml, $path))->toBe(lineOf($yaml, $value), "$path in\n$yaml")
                ->and(JsonLines::of(Json::compact($document), $path))->toBe(1);
        }
    }
});

it('reads the documents it has written, numbers of the same kind, empty objects still objects', function () {
    mt_srand(52);
    foreach ([...array_map(fn (): mixed => someDocument(), range(1, 60)), json_decode('{"a":{},"b":[],"c":1,"d":1.0,"e":-0.5,"f":null,"g":true,"h":"1","i":"","j":"2026-11-25","k":"null","l":"0x0f","m":"1e3","n":"a: b","o":"- x","p":"line\nline"}')] as $document) {
        foreach ([Json::decode(Json::pretty($document)), Json::decode(Json::compact($document)), Yaml::decodeAll(Yaml::dump($document))[0]['value']] as $read) {
            expect(serialize($read))->toBe(serialize($document));
        }
    }
});

it('says on which line JSON breaks off', function () {
    mt_srand(53);
    for ($k = 0; $k < 200; $k++) {
        $json = Json::pretty(someDocument());
        $lines = explode("\n", $json);
        $at = mt_rand(0, count($lines) - 2);
        $lines[$at] = preg_replace('/^(\s*)/', '$1~', $lines[$at]);
        try {
            Json::decode(implode("\n", $lines));
            test()->fail('taken');
        } catch (DocumentError $error) {
            expect($error)->errorCode->toBe('not_json')->sourceLine->toBe($at + 1)->and($error->getMessage())->toContain('near line '.($at + 1));
        }
    }
});

it('refuses what refers to something else in YAML, and takes the same signs as text', function (string $yaml, bool $isRefused) {
    $read = fn () => Yaml::decodeAll($yaml);
    if ($isRefused) {
        expect($read)->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe('yaml_alias')->and($error->sourceLine)->toBe(substr_count(strstr($yaml, "\0", true) ?: rtrim($yaml), "\n") + 1));
    } else {
        expect($read())->toHaveCount(1);
    }
})->with([
    'an anchor' => ['a: &x 1', true],
    'an alias' => ["a: 1\nb: *x", true],
    'a list of aliases' => ["a:\n  - *x", true],
    'an anchor on a list' => ["a: 1\nb: &all", true],
    'a merge' => ["a: 1\n<<: *x", true],
    'inside braces' => ["a: 1\nb: {c: *x}", true],
    'inside brackets' => ['a: [*x, 2]', true],
    'a sum of two' => ['a: R&D', false],
    'in quotes' => ["a: '*x'", false],
    'in double quotes' => ['a: "&x"', false],
    'in a comment' => ["a: 1 # *x\n# &y\n", false],
    'a star at the end' => ['a: 3 * 4', false],
]);

it('parts documents by three dashes, each with its line', function () {
    $documents = Yaml::decodeAll("# a comment\n---\na: 1\n--- # second\n\nb: 2\r\n---\n# nothing\n---\nc: 3\n");
    expect(array_map(fn (array $one): array => [get_object_vars($one['value']), $one['line']], $documents))->toBe([[['a' => 1], 2], [['b' => 2], 4], [['c' => 3], 9]]);
});

it('refuses what is too long, too deep, not text or not finite, and says where', function (string $yaml, string $code, ?int $line) {
    expect(fn () => Yaml::decodeAll($yaml))->toThrow(fn (DocumentError $error) => expect([$error->errorCode, $error->sourceLine])->toBe([$code, $line]));
})->with([
    'two megabytes' => [str_repeat("- 1\n", 600_000), 'too_large', null],
    'brackets without end' => ["a: 1\nb: ".str_repeat('[', 100).str_repeat(']', 100), 'too_deep', 2],
    'indented without end' => [implode("\n", array_map(fn (int $k): string => str_repeat(' ', $k)."a$k:", range(0, 140))), 'too_deep', 130],
    'bytes that are no text' => ["a: \xff", 'not_yaml', null],
    'no end of a text' => ["a: 1\nb: \"x", 'not_yaml', 2],
    'a tab for an indent' => ["a:\n\tb: 1", 'not_yaml', 2],
    'infinity' => ['a: .inf', 'not_finite', null],
    'no number' => ['a: [1, .nan]', 'not_finite', null],
]);

it('reads or refuses three thousand spoilt files with a sentence', function () {
    mt_srand(54);
    $files = array_map(fn (string $file): string => (string) file_get_contents($file), glob(dirname(__DIR__, 2).'/demo/gear/*.yaml'));
    $files[] = Json::pretty(Yaml::decodeAll($files[0])[0]['value']);
    [$read, $refused] = [0, 0];
    for ($k = 0; $k < 3000; $k++) {
        $text = $files[$k % count($files)];
        for ($times = mt_rand(1, 3); $times > 0; $times--) {
            $text = substr_replace($text, ["\n", ':', '- ', '{', ']', '"', "\0", "\xE2", '&a ', '*a', '!!x ', '%', '---', "\t", '? ', '|', '>', '', '~', '1e999'][mt_rand(0, 19)], mt_rand(0, strlen($text)), mt_rand(0, 2));
        }
        foreach ([Yaml::decodeAll(...), Json::decode(...)] as $reader) {
            try {
                $reader($text);
                $read++;
            } catch (DocumentError $error) {
                expect($error->getMessage())->not->toBe('')->and($error->sourceLine ?? 1)->toBeGreaterThan(0)->toBeLessThanOrEqual(substr_count($text, "\n") + substr_count($text, "\r") + 2);
                $refused++;
            }
        }
    }
    expect($read)->toBeGreaterThan(200)->and($refused)->toBeGreaterThan(1000);
});
