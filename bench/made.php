<?php

// Captures made for measuring: binary frames, tables and dumps of a wire.
declare(strict_types=1);

use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\UartWriter;

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
function changeTable(Closure $frame, int $idle, int $changes, string $file): int
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

function changeDump(Closure $frame, int $idle, int $changes, string $file): int
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
