<?php

/*
 * This checkout beside another one, in one run, in turn: verbs and pages over HTTP with four clients, commands from cold.
 * Called by bin/bench compare FOLDER; both serve a demo bench of their own.
 *
 *   php bench/compare.php FOLDER BASE FOLDER BASE     before, then after
 */
declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/questions.php';
require __DIR__.'/storm.php';
require __DIR__.'/made.php';

const TURNS = 4;
const ASKED_A_TURN = 80;
const STARTS = 7;

[, $before, $baseBefore, $after, $baseAfter] = $argv;
$sides = [['folder' => $before, 'base' => rtrim($baseBefore, '/')], ['folder' => $after, 'base' => rtrim($baseAfter, '/')]];

/** @return array{array{float, float}, array{float, float}} p50 and p95 of each side, asked in turn. */
function bothSides(array $sides, string $path, ?string $body): array
{
    $times = [[], []];
    for ($turn = 0; $turn < TURNS; $turn++) {
        foreach ($sides as $k => $side) {
            storm("{$side['base']}/api/v1/$path", $body, 4);
            array_push($times[$k], ...storm("{$side['base']}/api/v1/$path", $body, ASKED_A_TURN));
        }
    }

    return array_map(static function (array $list): array {
        sort($list);

        return middleAndSlow($list);
    }, $times);
}

/** Seconds of the whole command, as a person waits. */
function cold(string $folder, string $arguments): float
{
    $begin = hrtime(true);
    exec('cd '.escapeshellarg($folder)." && php artisan $arguments >/dev/null 2>&1", $ignored, $status);
    if ($status !== 0) {
        fwrite(STDERR, "$folder: artisan $arguments ended with $status\n");
        exit(1);
    }

    return (hrtime(true) - $begin) / 1e9;
}

echo "## Before and after, in one run: four clients, p50 / p95 ms\n\n| asked for | before | after |\n|---|--:|--:|\n";
// What the one before does not know cannot be compared.
$known = (string) file_get_contents("{$sides[0]['base']}/api/v1/verbs");
foreach (questions() as $verb => $question) {
    if (! str_contains($known, "\"$verb\"")) {
        continue;
    }
    [$old, $new] = bothSides($sides, $verb, json_encode($question, JSON_PRESERVE_ZERO_FRACTION));
    printf("| %s | %.0f / %.0f | %.0f / %.0f |\n", $verb, ...$old, ...$new);
}
foreach (['bench' => 'rigs', 'a rig' => 'rigs/avocet', 'a rig as it was' => 'rigs/avocet/at/3', 'shelf' => 'shelf', 'logbook' => 'logbook'] as $name => $path) {
    [$old, $new] = bothSides($sides, $path, null);
    printf("| %s | %.0f / %.0f | %.0f / %.0f |\n", $name, ...$old, ...$new);
}

$folder = sys_get_temp_dir().'/linguator-compare-'.getmypid();
mkdir($folder);
file_put_contents("$folder/order.json", json_encode(questions()['order']));
binary('s100i', 400_000, "$folder/frames.bin");
changeTable(train(), 1, 3_000_000, "$folder/edges.csv");
changeDump(train(), 1, 3_000_000, "$folder/edges.vcd");
echo "\n## Whole commands from cold, in turn: seconds, shortest / middle / longest of ".STARTS."\n\n| command | before | after |\n|---|--:|--:|\n";
$commands = [
    'a small verb' => "linguator:order $folder/order.json",
    'decode, 400 000 s100i frames, 10 MB' => "linguator:decode $folder/frames.bin",
    'decode, 3 million changes, CSV' => "linguator:decode $folder/edges.csv",
    'decode, 3 million changes, VCD' => "linguator:decode $folder/edges.vcd",
];
foreach ($commands as $name => $arguments) {
    $times = [[], []];
    for ($turn = 0; $turn < STARTS; $turn++) {
        foreach ($sides as $k => $side) {
            $times[$k][] = cold($side['folder'], $arguments);
        }
    }
    array_walk($times, static fn (array &$list) => sort($list));
    printf("| %s | %.2f / %.2f / %.2f | %.2f / %.2f / %.2f |\n", $name, $times[0][0], $times[0][intdiv(STARTS, 2)], $times[0][STARTS - 1], $times[1][0], $times[1][intdiv(STARTS, 2)], $times[1][STARTS - 1]);
}
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);
