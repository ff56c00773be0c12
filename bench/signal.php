<?php

declare(strict_types=1);

/*
 * Large captures, made here, read by the verb `decode` and by plain C. Run by bin/bench with the just-in-time compiler, as `linguator:decode` runs itself.
 *
 *   php bench/signal.php REFERENCE    the compiled bench/reference.c
 */

use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\Verb\DecodeVerb;

require __DIR__.'/../vendor/autoload.php';

const FRAMES = 400_000;
const CHANGES = 3_000_000;
const REPEATS = 3;

/** All sixteen channels move all the time: nothing can be skipped. */
function counts(int $k): array
{
    $counts = [];
    for ($channel = 1; $channel <= 16; $channel++) {
        $counts[$channel] = 992 + (int) (500 * sin($k / (20 + $channel)));
    }

    return $counts;
}

function binary(string $id, int $frames, string $file): int
{
    $encoder = new Encoder(FormatCards::get($id));
    $out = fopen($file, 'wb');
    for ($k = 0; $k < $frames; $k++) {
        fwrite($out, $encoder->encode(new Frame(counts($k))));
    }

    return $frames;
}

/** @param  Closure(int): Edges  $frame */
function table(Closure $frame, int $idle, int $changes, string $file): int
{
    $out = fopen($file, 'wb');
    fwrite($out, "time_us,wire\n0.00,$idle\n");
    for ([$k, $made] = [0, 0]; $made < $changes; $k++) {
        $edges = $frame($k);
        $level = $edges->level;
        foreach ($edges->times as $us) {
            fprintf($out, "%.2f,%d\n", $us, $level);
            $level ^= 1;
        }
        $made += count($edges->times);
    }

    return $made;
}

function dump(Closure $frame, int $idle, int $changes, string $file): int
{
    $out = fopen($file, 'wb');
    fwrite($out, "\$timescale 1 ns \$end\n\$var wire 1 ! wire \$end\n\$enddefinitions \$end\n#0\n$idle!\n");
    for ([$k, $made] = [0, 0]; $made < $changes; $k++) {
        $edges = $frame($k);
        $level = $edges->level;
        foreach ($edges->times as $us) {
            fprintf($out, "#%d\n%d!\n", round($us * 1000), $level);
            $level ^= 1;
        }
        $made += count($edges->times);
    }

    return $made;
}

function train(): Closure
{
    $writer = new PulseWriter(0);

    return static fn (int $k): Edges => $writer->train(array_map(static fn (int $channel): float => round(1500 + 400 * sin($k / (20 + $channel)), 2), range(1, 8)), 1000 + $k * 22_000.0);
}

function uart(): Closure
{
    $card = FormatCards::get('s100i');
    $encoder = new Encoder($card);
    $writer = new UartWriter(LineSetting::of($card));

    return static fn (int $k): Edges => $writer->write($encoder->encode(new Frame(counts($k))), 1000 + $k * 14_000.0);
}

/** @return array{float, int, float} Seconds (the best of some), sound frames, and peak memory in MB. */
function ours(string $file): array
{
    $best = INF;
    for ($k = 0; $k < REPEATS; $k++) {
        memory_reset_peak_usage();
        $begin = hrtime(true);
        $answer = (new DecodeVerb(new Schemas))(new Source(fopen($file, 'rb')), (object) ['frames' => 0]);
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
    'pulse train, CSV' => ['train-csv', 'changes', fn (int $size, string $file): int => table(train(), 1, $size, $file), CHANGES],
    'pulse train, VCD' => ['train-vcd', 'changes', fn (int $size, string $file): int => dump(train(), 1, $size, $file), CHANGES],
    's100i line, CSV' => ['uart-csv', 'changes', fn (int $size, string $file): int => table(uart(), 0, $size, $file), CHANGES],
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
