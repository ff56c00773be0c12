<?php

declare(strict_types=1);

/*
 * Large captures, made here, read by the verb `decode` and by plain C. Run by bin/bench with the just-in-time compiler, as `linguator:decode` runs itself.
 *
 *   php bench/signal.php REFERENCE    the compiled bench/reference.c
 */

use Linguator\Core\Capture\Source;
use Linguator\Core\Tests\Decode;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/made.php';

const FRAMES = 400_000;
const CHANGES = 3_000_000;
const REPEATS = 3;

/** @return array{float, int, float} Seconds (the best of some), sound frames, and peak memory in MB. */
function ours(string $file): array
{
    $best = INF;
    for ($k = 0; $k < REPEATS; $k++) {
        memory_reset_peak_usage();
        $begin = hrtime(true);
        $answer = Decode::answer(new Source(fopen($file, 'rb')), (object) ['frames' => 0]);
        $best = min($best, (hrtime(true) - $begin) / 1e9);
    }

    return [$best, $answer['frames']['good'], memory_get_peak_usage() / 1e6];
}

/** @return array{float, int} */
function reference(string $program, string $what, string $file): array
{
    $best = INF;
    for ($k = 0; $k < REPEATS; $k++) {
        $begin = hrtime(true);
        $answer = (string) shell_exec(escapeshellarg($program).' '.escapeshellarg($what).' '.escapeshellarg($file));
        $best = min($best, (hrtime(true) - $begin) / 1e9);
    }

    return [$best, (int) $answer];
}

$program = $argv[1] ?? '';
if (! is_executable($program)) {
    fwrite(STDERR, "Expected the compiled bench/reference.c as argument.\n");
    exit(2);
}
$captures = [
    's100i binary' => ['s100i', 'frames', fn (int $size, string $file): int => binary('s100i', $size, $file), FRAMES],
    's420c binary' => ['s420c', 'frames', fn (int $size, string $file): int => binary('s420c', $size, $file), FRAMES],
    'pulse train, CSV' => ['train-csv', 'changes', fn (int $size, string $file): int => changeTable(train(), 1, $size, $file), CHANGES],
    'pulse train, VCD' => ['train-vcd', 'changes', fn (int $size, string $file): int => changeDump(train(), 1, $size, $file), CHANGES],
    's100i line, CSV' => ['uart-csv', 'changes', fn (int $size, string $file): int => changeTable(uart(), 0, $size, $file), CHANGES],
];
echo "| capture | size | per second | seconds | a tenth of it | peak memory | of a tenth | plain C | ratio |\n|---|--:|--:|--:|--:|--:|--:|--:|--:|\n";
$file = tempnam(sys_get_temp_dir(), 'capture');
foreach ($captures as $name => [$what, $unit, $make, $size]) {
    $make(intdiv($size, 10), $file);
    [$small, , $smallPeak] = ours($file);
    $made = $make($size, $file);
    [$seconds, $frames, $peak] = ours($file);
    [$c, $cFrames] = reference($program, $what, $file);
    if (abs($frames - $cFrames) > 1) {
        fwrite(STDERR, "$name: $frames frames here, $cFrames in C.\n");
        exit(1);
    }
    printf(
        "| %s | %s %s, %.1f MB | %s %s | %.2f | %.2f | %.1f MB | %.1f MB | %.3f s | %.0f × |\n",
        $name, number_format($made, 0, '.', ' '), $unit, filesize($file) / 1e6, number_format($made / $seconds, 0, '.', ' '), $unit, $seconds, $small, $peak, $smallPeak, $c, $seconds / $c,
    );
}
unlink($file);
