<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Capture\CsvEdges;
use Linguator\Core\Capture\CsvLayout;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\WavWriter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\UartReader;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\Signal\QuietestSecond;
use Linguator\Core\Timing\LatencyBudget;
use Linguator\Core\Timing\LatencyStage;
use Linguator\Core\Verb\Verbs;

function shipped(string $id): FormatCard
{
    return FormatCards::get($id) ?? throw new \LogicException("no $id");
}

/** @param  array<int, int>  $counts  By channel. */
function frameOf(string $id, int $k): string
{
    return (new Encoder(shipped($id)))->encode(new Frame(array_combine(range(1, 16), array_map(static fn (int $channel): int => 900 + ($k * 7 + $channel * 13) % 200, range(1, 16)))));
}

/** A wire with s100i frames as a table; of some bytes the parity bit is turned. */
function wireWithParity(int $frames, array $spoilt): string
{
    $text = "time_us,wire\n0.00,0\n";
    // 100 000 baud, eight bits, even parity, two stop bits, idle low.
    $level = 0;
    for ($k = 0; $k < $frames; $k++) {
        foreach (str_split(frameOf('s100i', $k)) as $j => $byte) {
            $bits = [0];
            for ($b = 0; $b < 8; $b++) {
                $bits[] = ord($byte) >> $b & 1;
            }
            $parity = array_sum(array_slice($bits, 1)) & 1;
            array_push($bits, in_array([$k, $j], $spoilt, true) ? $parity ^ 1 : $parity, 1, 1);
            foreach ($bits as $b => $bit) {
                // Upside down on this wire.
                if (($bit ^ 1) !== $level) {
                    $level ^= 1;
                    $text .= sprintf("%.2f,%d\n", 1000 + $k * 14_000 + $j * 120 + $b * 10, $level);
                }
            }
        }
    }

    return $text;
}

function decodedText(string $text, array $options = []): array
{
    return json_decode(json_encode(Decode::answer(Source::ofText($text), (object) ($options + ['frames' => 100]))), true);
}

it('counts a frame with a byte of wrong parity as bad, and only that one', function () {
    $clean = decodedText(wireWithParity(40, []));
    expect($clean['format'])->toBe('s100i')->and($clean['frames'])->toBe(['good' => 40, 'bad' => 0, 'reasons' => []]);
    // In two frames running, at the first byte and the last, and twice in one frame.
    $answer = decodedText(wireWithParity(40, [[3, 0], [7, 11], [8, 24], [20, 5], [20, 6]]));
    expect($answer['format'])->toBe('s100i')->and($answer['frames'])->toBe(['good' => 36, 'bad' => 4, 'reasons' => ['parity' => 4]]);
    expect(array_column($answer['first_frames'], 'us'))->toBe(array_values(array_diff_key(array_column($clean['first_frames'], 'us'), array_flip([3, 7, 8, 20]))))
        ->and(array_column($answer['findings'], 'code'))->not->toContain('parity_mismatch');
});

it('finds every frame where two share one mark, and says nothing against it', function () {
    $frames = array_map(static fn (int $k): string => frameOf('s115f', $k), range(0, 29));
    $shared = $frames[0].implode('', array_map(static fn (string $frame): string => substr($frame, 1), array_slice($frames, 1)));
    foreach ([implode('', $frames) => 'apart', $shared => 'shared', $shared.implode('', $frames) => 'both'] as $bytes => $how) {
        foreach ([1, 7, 4096] as $size) {
            $keeper = new Keeper;
            $framer = Framers::for(shipped('s115f'));
            foreach (str_split((string) $bytes, $size) as $chunk) {
                $framer->push(new TimedBytes($chunk), $keeper);
            }
            $framer->finish($keeper);
            expect(count($keeper->frames))->toBe($how === 'both' ? 60 : 30, "$how in chunks of $size")->and($keeper->bad)->toBe(0);
        }
    }
    $answer = decodedText(bin2hex($shared), ['kind' => 'hex']);
    expect($answer['format'])->toBe('s115f')->and($answer['frames']['good'])->toBe(30)->and($answer['frames']['bad'])->toBe(0);
});

it('takes a time that is none for damage, and reads what stands around it', function (string $text, int $places) {
    $answer = decodedText($text);
    expect(count(array_filter($answer['findings'], static fn (array $finding): bool => str_contains(json_encode($finding), '115 days') || str_contains($finding['code'], 'damage') || str_contains($finding['message'], 'read'))))->toBeGreaterThan(0);
    foreach ($answer['first_frames'] as $frame) {
        expect(abs($frame['t_ms'] ?? 0))->toBeLessThan(1e9);
    }
    expect($places)->toBeGreaterThan(0);
})->with([
    'a log that jumps' => ["t_ms,ch1,ch2\n".implode("\n", array_map(static fn (int $k): string => 20 * $k.','.(1500 + $k % 5).',1000', range(0, 99)))."\n1e30,1500,1000\n1e30,1501,1000\n", 2],
    'a table that jumps and stays there' => [preg_replace('/^2\d{5}\.\d\d,/m', '1e30,', wireWithParity(30, [])), 1],
    'a table that jumps in plain digits' => [preg_replace('/^2(\d{5}\.\d\d),/m', '9000000000000000002$1,', wireWithParity(30, [])), 1],
    'a table that jumps back' => [implode("\n", array_map(static fn (string $row, int $k): string => $k === 500 || $k === 501 ? "9e29,$k" : $row, $rows = explode("\n", wireWithParity(30, [])), array_keys($rows))), 2],
]);

it('reads a dump whose clock jumps beyond all bounds up to there', function () {
    $dump = "\$timescale 1 ns \$end\n\$var wire 1 ! wire \$end\n\$enddefinitions \$end\n#0\n1!\n";
    $us = 1000;
    for ($k = 0; $k < 400; $k++) {
        $us += $k % 2 === 0 ? 300 : ($k % 18 === 17 ? 9000 : 1200);
        $dump .= '#'.($us * 1000)."\n".($k % 2)."!\n";
    }
    $sound = decodedText($dump);
    foreach (['#99999999999999999999999999999', '#100000000000000000'] as $stamp) {
        $answer = decodedText("$dump$stamp\n1!\n$stamp\n0!\n");
        expect($answer['frames']['good'])->toBe($sound['frames']['good']);
    }
});

it('answers a time of 1e30 in the quietest second like any other', function () {
    $second = new QuietestSecond;
    foreach ([0.0, 20_000.0, 1e30, 1e30, 1e33, 2e33] as $k => $us) {
        $second->add($us, 1500 + $k);
    }
    expect($second->sigma())->toBeNull();
});

it('does not stumble over a wire whose time runs backwards', function () {
    mt_srand(9);
    for ($run = 0; $run < 300; $run++) {
        $reader = new UartReader(new LineSetting(10, ['none', 'even', 'odd'][$run % 3], 1 + $run % 2, $run % 2 === 0));
        for ($k = 0; $k < 6; $k++) {
            $times = array_map(static fn (): float => mt_rand(-50_000, 50_000) / 10, range(1, mt_rand(1, 30)));
            $read = $reader->push(new Edges(mt_rand(0, 1), $times));
            [$bytes, $when] = [$read->bytes, $read->times];
            expect(strlen($bytes))->toBe(count($when));
        }
        $reader->finish();
    }
    // And what runs forward is read as before.
    $line = new LineSetting(10, 'even', 2, true);
    $writer = new UartWriter($line);
    $reader = new UartReader($line);
    $bytes = $reader->push($writer->write('Wren', 1000))->bytes;
    expect($bytes.$reader->finish()->bytes)->toBe('Wren');
});

it('keeps a recording within ten minutes', fn () => expect(WavWriter::LONGEST_US / 1e6 * WavWriter::RATE * 2)->toBeLessThan(60e6));

it('finds the same 95th percentile by the exact distribution as by the grid', function () {
    mt_srand(95);
    $grid = new \ReflectionMethod(LatencyBudget::class, 'addUniform');
    $quantile = static function (array $widths, float $share) use ($grid): float {
        rsort($widths);
        $step = array_sum($widths) / 2000;
        $cumulative = array_map(static fn (int $k): float => min(1.0, $k * $step / $widths[0]), range(0, 2000));
        foreach (array_slice($widths, 1) as $width) {
            $cumulative = $grid->invoke(null, $cumulative, $width, $step);
        }
        foreach ($cumulative as $k => $below) {
            if ($below >= $share) {
                return $step * $k;
            }
        }

        return array_sum($widths);
    };
    for ($run = 0; $run < 120; $run++) {
        $periods = array_map(static fn (): float => mt_rand(1, 4000) / 100, range(1, mt_rand(2, 6)));
        $budget = new LatencyBudget(array_map(static fn (float $ms): LatencyStage => new LatencyStage('s', $ms, 0.0, 1), $periods));
        expect(abs($budget->p95() - $quantile($periods, 0.95)))->toBeLessThan(0.001 * array_sum($periods) + 0.01);
    }
    // Of two equal waits: the triangle's own 95th percentile, w · (2 − √(2 · 0.05)).
    $two = new LatencyBudget([new LatencyStage('a', 10.0, 0.0, 1), new LatencyStage('b', 10.0, 0.0, 1)]);
    expect($two->p95())->toEqualWithDelta(10 * (2 - sqrt(0.1)), 1e-9);
    // Widths too different for its digits go by the grid.
    $odd = new LatencyBudget(array_map(static fn (float $ms): LatencyStage => new LatencyStage('s', $ms, 0.0, 1), [100.0, 0.001, 0.001, 0.001, 0.001]));
    expect($odd->p95())->toEqualWithDelta(95.0, 0.2);
});

it('refuses what the contract refuses', function (string $verb, array $question, string $path, string $code) {
    expect(fn () => (new Verbs(new Schemas))->ask($verb, json_decode(json_encode($question))))
        ->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path)->and($error->errorCode)->toBe($code)->and($error->getMessage())->not->toBe(''));
})->with([
    'no channel used' => ['pulse-train', ['frame_us' => 18000, 'channels' => 8, 'min_us' => 988, 'max_us' => 2012, 'used' => 0], 'used', 'invalid'],
    'a switch without a weight' => ['switch', ['scale' => ['centre' => 1500, 'us_per_100' => 512, 'max_pct' => 150], 'switch' => ['positions' => 2, 'offset' => 0], 'windows' => []], 'switch.weight', 'missing_key'],
    'a switch without an offset' => ['switch', ['scale' => ['centre' => 1500, 'us_per_100' => 512, 'max_pct' => 150], 'switch' => ['positions' => 2, 'weight' => 100], 'windows' => []], 'switch.offset', 'missing_key'],
    'a chain without a receiver' => ['failsafe', ['rig' => ['linguator' => 1, 'name' => 'x', 'craft' => ['kind' => 'boat'], 'chain' => [['id' => 'a', 'kind' => 'handset', 'name' => 'A', 'channels' => 8, 'order' => 'AETR']], 'settings' => new \stdClass]], 'rig.chain', 'no_receiver'],
    'ends upside down' => ['failsafe', ['rig' => (static function (): \stdClass {
        $rig = DemoRigs::get('mudlark')->canonical();
        $rig->settings->channels = [(object) ['channel' => 3, 'ends_us' => [2012, 1500, 988]]];

        return $rig;
    })()], 'rig.settings.channels.0.ends_us', 'upside_down'],
]);

it('asks each verb by the name it has', function () {
    foreach (Verbs::all() as $name => $class) {
        expect($class::name())->toBe($name);
    }
    expect(fn () => Verbs::read(str_repeat(' ', Verbs::MAX_BYTES + 1)))->toThrow(DocumentError::class, 'more than 3 MB')
        ->and(fn () => Verbs::read('['.str_repeat('[],', 130_000).'[]]'))->toThrow(DocumentError::class, 'lists and objects');
});

it('hands on no time that is none, whichever way a block is read', function (string $before, string $behind) {
    $rows = array_map(static fn (int $k): string => ($k < 19_000 ? 10 * $k : $before.$k.$behind).','.$k % 2, range(0, 19_999));
    $damage = new Damage;
    $source = Source::ofText("time_us,wire\n".implode("\n", $rows)."\n");
    $times = [];
    foreach ((new CsvEdges($source, CsvLayout::of($source->head(4096)), $damage))->edges(0) as $edges) {
        array_push($times, ...$edges->times);
    }
    // Longer than one block: the first, with the heading, is always read row by row.
    expect(max($times))->toBeLessThan(190_000.0)->and(count($times))->toBe(18_999)->and($damage->count)->toBe(1000)->and($damage->places[0]['expected'])->toContain('115 days');
})->with(['in plain digits' => ['9000000000000000', ''], 'with an exponent' => ['', 'e30']]);
