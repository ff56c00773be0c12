<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Signal\ShortGap;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\CaptureCase;
use Linguator\Core\Tests\Decode;

/** The answer of the verb, held against its schema. */
function decoded(string $capture, array $options = []): stdClass
{
    $schemas = new Schemas;
    $answer = Json::decode(Json::compact(Decode::answer(Source::ofText($capture), (object) $options)));
    $schemas->check($answer, 'verbs/decode.out.json');

    return $answer;
}

/** What a stand-in sends, as a capture. */
function sent(string $kind, array $options): string
{
    return implode('', iterator_to_array(Recording::of(StandInOptions::of((object) ($options + ['seconds' => 1]), new Schemas), CaptureKind::from($kind)), false));
}

/** @return list<string> */
function codesOf(stdClass $answer): array
{
    return array_column($answer->findings, 'code');
}

it('reads the worked captures', function (string $file, array $options, stdClass $expected) {
    $path = dirname(__DIR__, 2)."/tests/fixtures/captures/$file";
    try {
        $answer = decoded((string) file_get_contents($path), $options);
    } catch (DocumentError $error) {
        expect($expected->error_or_nothing ?? false)->toBeTrue($error->getMessage());

        return;
    }
    expect(CaptureCase::differences($expected, $answer))->toBe([]);
})->with(fn () => CaptureCase::all());

it('reads a dump that a simulator of circuits wrote', function () {
    $answer = decoded((string) file_get_contents(dirname(__DIR__, 2).'/tests/fixtures/simulated/uart_tx.vcd'));
    expect($answer)->format->toBe('s115u')
        ->and($answer->frames)->good->toBe(20)->bad->toBe(0)
        ->and($answer->line->inverted)->toBeFalse()
        ->and($answer->first_frames[0]->us)->toEqual(range(1000, 1650, 50))
        ->and($answer->channels[13])->min_us->toEqual(1650.0)->max_us->toEqual(1669.0);
});

it('finds every format again, whatever it is captured as', function (string $format, string $kind) {
    $answer = decoded(sent($kind, ['format' => $format]));
    expect($answer->format)->toBe(strtok($format, '-'))
        ->and($answer->kind)->toBe($kind)
        ->and($answer->confidence)->toBeGreaterThanOrEqual(0.9)
        ->and($answer->frames->bad)->toBe(0)
        ->and($answer->frames->good)->toBeGreaterThan(20)
        ->and(array_diff(codesOf($answer), ['values_out_of_range']))->toBe([]);
})->with(['s100i', 's420c', 's115u', 's115t', 's115t-10', 's115e', 's115f'])->with(['hex', 'bin', 'csv', 'vcd']);

it('reads pulses from tables, dumps and recordings, either way up', function (string $format, string $kind, bool $isInverted) {
    $answer = decoded(sent($kind, ['format' => $format, 'inverted' => $isInverted, 'seconds' => 2]));
    expect($answer->format)->toBe($format)
        ->and($answer->frames)->bad->toBe(0)->good->toBeGreaterThan(80)
        ->and($answer->channels[0]->max_us)->toEqualWithDelta(1900.0, 3.0)
        ->and($answer->period_ms->mean)->toEqualWithDelta($format === 'ppm' ? 22.0 : 20.0, 0.05);
})->with(['ppm', 'pwm'])->with(['csv', 'vcd', 'wav'])->with([false, true]);

it('measures a gap that is too short, says which frame would have room for it, and blames no wire for it', function () {
    $text = (string) file_get_contents(dirname(__DIR__, 2).'/demo/captures/mudlark-train.csv');
    $answer = decoded($text, []);
    $finding = array_values(array_filter($answer->findings, fn (stdClass $one): bool => $one->code === 'sync_ambiguous'))[0];
    expect($finding->message)->toBe('The gap of the pulse train is 2.53 ms; 8 channels need 3.00 ms, and so a frame of 19 ms.')
        ->and(codesOf($answer))->not->toContain('frames_dropped');
});

it('keeps the shortest of the short gaps, with its own train', function () {
    $gap = fn (float $us, int $channels): ?ShortGap => ShortGap::of(new Pulses(array_fill(1, $channels, 1_500_000), 0.0, $us));
    [$short, $long] = [$gap(1900.0, 8), $gap(2500.0, 6)];
    expect($short->shorter($long))->toBe($short)->and($long->shorter($short))->toBe($short)->and($long->shorter(null))->toBe($long)
        ->and([$short->channels, $short->neededUs(), $short->frameNeededUs()])->toBe([8, 3000.0, 19000.0])
        ->and($gap(1900.0, 0))->toBeNull()
        ->and(ShortGap::of(new Pulses([1 => 2_200_000], 0.0, 1000.0))?->frameNeededUs())->toBe(5500.0);
});

it('says in plain words what is wrong on the wire', function (array $sent, string $kind, array $options, string $code, string $words) {
    $answer = decoded(sent($kind, $sent), $options);
    $finding = array_values(array_filter($answer->findings, fn (stdClass $one): bool => $one->code === $code))[0] ?? null;
    expect($finding)->not->toBeNull('found '.implode(', ', codesOf($answer)))
        ->and($finding->message.' '.($finding->found ?? ''))->toContain($words)
        ->and($finding->change)->not->toBeEmpty();
})->with([
    'upside down' => [['format' => 's420c', 'inverted' => true], 'csv', [], 'line_inverted', 'idles low'],
    'another baud than asked for' => [['format' => 's100i', 'baud' => 115200], 'vcd', ['as' => 's100i'], 'wrong_baud', '115200 baud'],
    'damaged frames' => [['format' => 's115u', 'damaged' => 0.1], 'bin', [], 'frames_dropped', 'checksum'],
    'dropped frames' => [['format' => 's100i', 'dropped' => 0.1], 'hex', [], 'frames_dropped', 'late'],
    'frames lost in the air' => [['format' => 's115t', 'dropped' => 0.1], 'bin', [], 'frames_lost_in_air', 'lost frames'],
    'failsafe' => [['format' => 's100i', 'failsafe_after_s' => 0.5], 'csv', [], 'failsafe_active', 'first at 0.51 s'],
    'frame lost' => [['format' => 's115f', 'failsafe_after_s' => 0.5], 'bin', [], 'frame_lost', 'flag'],
    'a gap too short' => [['format' => 'ppm', 'period_ms' => 14], 'csv', [], 'sync_ambiguous', 'too short'],
    'a rate too fast' => [['format' => 's420c', 'period_ms' => 2], 'csv', ['max_rate' => 250], 'rate_faster_than_reader', '500.0 frames/s'],
    'channels that stop' => [['format' => 's100i', 'stuck_after_s' => 2.2, 'seconds' => 4], 'bin', [], 'channel_stuck', 'Channels 1, 2, 3 and 4 moved before and stand still since frame 157'],
    'another format than asked for' => [['format' => 's115u'], 'bin', ['as' => 's420c'], 'not_recognised', 'This is not s420c'],
]);

it('reads a line that runs up to two in a hundred beside its baud', function (float $factor) {
    $answer = decoded(sent('csv', ['format' => 's420c', 'baud' => 420000 * $factor]));
    expect($answer->format)->toBe('s420c')->and($answer->frames->bad)->toBe(0)->and($answer->line->baud)->toBe(420000)
        ->and(codesOf($answer))->not->toContain('wrong_baud');
})->with([0.98, 0.99, 1.01, 1.02]);

it('reads a line that the analyser samples only a few times a bit', function (string $format, float $stepUs) {
    $slow = (string) preg_replace_callback('/^(\d+\.\d+)/m', fn (array $time): string => sprintf('%.2F', floor($time[1] / $stepUs) * $stepUs), sent('csv', ['format' => $format]));
    $answer = decoded($slow);
    expect($answer->format)->toBe($format)->and($answer->frames->bad)->toBeLessThanOrEqual(0.02 * $answer->frames->good);
})->with([['s420c', 0.5], ['s420c', 1.0], ['s115u', 2.0], ['s100i', 2.0], ['s115f', 1.0]]);

it('names the format though the parity is another or none at all', function (string $parity, int $stopBits) {
    $card = Linguator\Core\Format\FormatCards::get('s100i');
    $writer = new Linguator\Core\Line\UartWriter(new Linguator\Core\Line\LineSetting(10, $parity, $stopBits, true));
    $encoder = new Linguator\Core\Format\Encoder($card);
    $edges = (function () use ($writer, $encoder) {
        for ($k = 0; $k < 60; $k++) {
            yield $writer->write($encoder->encode(new Linguator\Core\Format\Frame(array_fill(1, 16, 300 + 23 * $k))), 5000 + 14000.0 * $k);
        }
    })();
    $answer = decoded(implode('', iterator_to_array(Linguator\Core\Capture\EdgeText::csv(0, $edges), false)));
    expect($answer->format)->toBe('s100i')->and($answer->frames->good)->toBe(60)->and(codesOf($answer))->toContain('parity_mismatch');
})->with([['odd', 2], ['none', 2], ['none', 1]]);

it('adds up what a receiver counts as lost, over the end of its counter', function () {
    $counter = 250;
    $capture = '';
    foreach (str_split(sent('bin', ['format' => 's115t']), 16) as $k => $frame) {
        $counter += $k % 9 === 0 ? 3 : 0;
        $capture .= chr($counter & 0xFF).substr($frame, 1);
    }
    $finding = array_column(decoded($capture)->findings, null, 'code')['frames_lost_in_air'];
    expect($finding->message)->toBe('The receiver counts 30 lost frames during the capture.')->and($finding->severity)->toBe('check');
});

it('skips frames of other types, counts them, and reads the link statistics', function () {
    $check = Linguator\Core\Format\Check::of(Linguator\Core\Format\FormatCards::get('s420c')->parts[4]);
    $other = fn (string $payload): string => "\xC8".chr(strlen($payload) + 1).$payload.$check->bytes($payload);
    $statistics = $other("\x14".chr(70).chr(72).chr(99).chr(0xFB).chr(1).chr(4).chr(2).chr(80).chr(97).chr(6));
    $capture = '';
    foreach (str_split(sent('bin', ['format' => 's420c']), 26) as $k => $frame) {
        $capture .= $frame.($k % 10 === 0 ? $statistics : '').($k % 25 === 0 ? $other("\x29abcdefghij") : '');
    }
    $answer = decoded($capture);
    expect($answer->frames)->good->toBe(250)->bad->toBe(0)
        ->and($answer->others[0])->name->toBe('link statistics')->count->toBe(25)
        ->and(array_column($answer->others[0]->last, 'value'))->toBe([-70, -72, 99, -5, 1, 4, 2, -80, 97, 6])
        ->and($answer->others[1])->type->toBe('29')->count->toBe(10);
});

it('reads tables as programs and people write them', function (string $table) {
    expect(decoded($table))->format->toBe('ppm')->and(decoded($table)->frames->good)->toBeGreaterThanOrEqual(45);
})->with(function () {
    $table = sent('csv', ['format' => 'ppm']);
    $rows = array_slice(explode("\n", trim($table)), 1);
    $cells = array_map(fn (string $row): array => explode(',', $row), $rows);

    return [
        'seconds, semicolons and decimal commas' => ["Time [s];Channel 0\n".implode("\n", array_map(fn (array $row): string => strtr(sprintf('%.8F', $row[0] / 1e6), '.', ',').";$row[1]", $cells))],
        'milliseconds, tabs, CRLF and a byte-order mark' => ["\xEF\xBB\xBFt(ms)\tlevel\r\n".implode("\r\n", array_map(fn (array $row): string => ($row[0] / 1e3)."\t$row[1]", $cells))."\r\n"],
        'quotes and spaces' => ["\"time_us\", \"level\"\n".implode("\n", array_map(fn (array $row): string => "\"$row[0]\", \"$row[1]\"", $cells))],
        'exponents' => ["time (s),d0\n".implode("\n", array_map(fn (array $row): string => sprintf('%.9e,%d', $row[0] / 1e6, $row[1]), $cells))],
        'two wires, the second one busy' => ["time_us,quiet,train\n".implode("\n", array_map(fn (array $row): string => "$row[0],1,$row[1]", $cells))],
        'time before the trigger' => ["time_us,level\n".implode("\n", array_map(fn (array $row): string => ($row[0] - 50000).",$row[1]", $cells))],
    ];
});

it('does not take a false edge for a gap too short', function () {
    $answer = decoded(sent('csv', ['format' => 'ppm', 'damaged' => 0.1, 'seconds' => 4]));
    expect($answer->frames->bad)->toBeGreaterThan(8)->and($answer->frames->good + $answer->frames->bad)->toBeGreaterThanOrEqual(180)->toBeLessThanOrEqual(183)
        ->and(codesOf($answer))->toContain('frames_dropped')->not->toContain('sync_ambiguous');
});

it('tells wires of the same name apart by their scope', function () {
    $dump = "\$timescale 1 us \$end\n\$scope module a \$end\n\$var wire 1 ! rx \$end\n\$upscope \$end\n\$scope module b \$end\n\$var wire 1 % rx \$end\n\$var wire 1 & tx \$end\n\$upscope \$end\n\$enddefinitions \$end\n";
    for ($k = 0; $k < 40; $k++) {
        $dump .= '#'.(20000 * $k)."\n1% 0!\n#".(20000 * $k + 1400 + 10 * $k)."\n0%\n";
    }
    expect(decoded($dump))->wires->toBe(['a.rx', 'b.rx', 'tx'])->wire->toBe('b.rx')->format->toBe('pwm');
});

it('hands on as bytes what an adapter makes of a line that is upside down or too fast', function (array $fault) {
    $bytes = sent('bin', ['format' => 's115u'] + $fault);
    expect($bytes)->not->toBe('')->and(decoded($bytes)->format)->toBeNull();
})->with([[['inverted' => true]], [['baud' => 230400]]]);

it('keeps what is sound before and after a damaged stretch, and says where it is', function (string $kind, Closure $damage, string $where) {
    $whole = decoded(sent($kind, ['format' => 's115u']));
    $answer = decoded($damage(sent($kind, ['format' => 's115u'])));
    expect($answer->format)->toBe('s115u')
        ->and($answer->frames->good)->toBeGreaterThanOrEqual($whole->frames->good - 2)
        ->and(codesOf($answer))->toContain('capture_damaged')
        ->and(json_encode($answer->damage->places[0]))->toContain($where);
})->with([
    'a row of another table' => ['csv', fn (string $text): string => substr_replace($text, "some,words;here\n", (int) strpos($text, "\n", 20000) + 1, 0), '"line":'],
    'a time far ahead' => ['csv', fn (string $text): string => preg_replace('/^(\d)(\d{4}\.)/m', '9$1$2', $text, 1), 'a time far ahead'],
    'a word among hex pairs' => ['hex', fn (string $text): string => substr_replace($text, ' oops', (int) strpos($text, "\n", 5000), 0), 'oops'],
    'a dump with a strange line' => ['vcd', fn (string $text): string => substr_replace($text, "~~~\n", (int) strpos($text, "\n", 20000) + 1, 0), '~~~'],
]);

it('does not recognise what is none of its formats, and says what it saw', function (string $capture, array $seen) {
    $answer = decoded($capture);
    expect($answer->format)->toBeNull()->and($answer->confidence)->toBeLessThan(0.6)->and(codesOf($answer))->toContain('not_recognised');
    foreach ($seen as $key => $value) {
        expect($answer->line_facts->{$key})->toBe($value);
    }
})->with(function () {
    mt_srand(3);
    $noise = implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, 20_000)));
    $music = '';
    for ($k = 0; $k < 60_000; $k++) {
        $music .= pack('v', (int) (6000 * sin($k / 17) + 4000 * sin($k / 7.3 + 2 * sin($k / 900)) + 2000 * sin($k / 2.9)) & 0xFFFF);
    }
    $strange = "\x55";
    for ($k = 0; $k < 300; $k++) {
        $strange .= 'HEAD'.pack('v*', 1500 + $k, 77, 1400 - $k).'xyz!';
    }

    return [
        'noise' => [$noise, ['frame_bytes' => null]],
        'a recording of music' => ['RIFF'.pack('V', 36 + strlen($music)).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, 44100, 88200, 2, 16).'data'.pack('V', strlen($music)).$music, []],
        'a format that nobody knows' => [$strange, ['frame_bytes' => 14]],
        'the same byte for ever' => [str_repeat("\x0f", 5000), []],
        'zeros' => [str_repeat("\0", 100_000), []],
    ];
});

it('refuses what cannot be read at all, with what it found and what it expected', function (string $capture, array $options, string $code) {
    expect(fn () => decoded($capture, $options))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe($code)->and($error->getMessage())->toMatch('/[Ff]ound|There is|empty|ends/'));
})->with([
    'nothing' => ['', [], 'empty'],
    'hex without a pair' => ["zz qq\n", ['kind' => 'hex'], 'nothing_readable'],
    'a dump that breaks off in its header' => ["\$date today \$end\n\$timescale 1 ns", [], 'truncated'],
    'a dump without a unit of time' => ["\$date today \$end\n\$var wire 1 ! a \$end\n\$enddefinitions \$end\n#0\n1!\n", [], 'no_timescale'],
    'a dump without a wire' => ["\$timescale 1 ns \$end\n\$var reg 8 ! a \$end\n\$enddefinitions \$end\n#0\n", [], 'no_wire'],
    'a table without a heading' => ["1.0,1\n2.0,0\n", ['kind' => 'csv'], 'no_heading'],
    'a table without rows' => ["time_us,level\nnothing,here\n", [], 'no_rows'],
    'a wire that never changes' => ["time_us,level\n1,1\n2,1\n3,1\n", [], 'nothing_readable'],
    'a recording cut off in its header' => ["RIFF\x10\0\0\0WAVEfmt ", [], 'truncated'],
    'a recording that is no plain PCM' => ['RIFF'.pack('V', 40).'WAVEfmt '.pack('VvvVVvv', 16, 85, 2, 44100, 16000, 1, 0).'data'.pack('V', 4).'abcd', [], 'not_pcm'],
    'a wire that is not there' => ["time_us,a,b\n1,1,0\n2,0,1\n3,1,0\n", ['line' => 'c'], 'no_such_wire'],
    'a format that is not there' => ['abc', ['as' => 'nope'], 'no_such_format'],
    'three separators in one table' => ["time_us,level\n1;0\n2\t1\n3 0\n", [], 'no_rows'],
]);

it('takes the louder side of a stereo recording, 8, 16 or 24 bits, though its length field lies', function (int $bits) {
    $mono = sent('wav', ['format' => 'ppm', 'seconds' => 2]);
    $samples = array_values(unpack('v*', substr($mono, 44)));
    $pack = fn (int $value): string => match ($bits) {
        8 => chr(128 + ($value >> 8)),
        16 => pack('v', $value & 0xFFFF),
        default => substr(pack('V', $value << 8 & 0xFFFFFF), 0, 3),
    };
    $data = '';
    foreach ($samples as $k => $sample) {
        $value = $sample < 32768 ? $sample : $sample - 65536;
        $data .= $pack((int) (300 * sin($k))).$pack($value);
    }
    $wav = 'RIFF'.pack('V', 1).'WAVEfmt '.pack('VvvVVvv', 16, 1, 2, 48000, 48000 * $bits / 4, $bits / 4, $bits).'data'.pack('V', 12).$data;
    expect(decoded($wav))->format->toBe('ppm')->wire->toBe('right')->and(decoded($wav)->frames->bad)->toBe(0)
        ->and(fn () => decoded($wav, ['line' => 'left']))->toThrow(DocumentError::class, 'changes of level');
})->with([8, 16, 24]);

it('reads a log of values, and says nothing of a format', function () {
    $answer = decoded("t_ms,ch1,ch2\n0,1500,1000\n20,1600,1000\nbroken\n40,1400.5,1000\n");
    expect($answer)->format->toBeNull()->confidence->toEqual(1.0)
        ->and($answer->channels[0])->min_us->toBe(1400.5)->max_us->toEqual(1600.0)
        ->and($answer->period_ms->mean)->toEqual(20.0)
        ->and(codesOf($answer))->toBe(['capture_damaged']);
});

it('tells the noise of the quietest second', function () {
    $rows = "t_ms,ch1\n";
    for ($k = 0; $k < 400; $k++) {
        $rows .= 10 * $k.','.(1500 + ($k < 200 ? 200 * ($k % 7) : ($k % 2 === 0 ? 1 : -1)))."\n";
    }
    expect(decoded($rows)->channels[0]->noise_us)->toEqualWithDelta(1.0, 1e-6);
});

it('stops when it is told to, and tells how far it is', function () {
    $stream = fopen('php://memory', 'w+b');
    fwrite($stream, sent('csv', ['format' => 's100i', 'seconds' => 3]));
    $far = [];
    Decode::answer(new Source($stream, function (int $bytes) use (&$far) {
        $far[] = $bytes;
    }), (object) []);
    expect(max($far))->toBe((new Source($stream))->size());
    expect(fn () => Decode::answer(new Source($stream, fn () => throw new RuntimeException('enough')), (object) []))->toThrow('enough');
});
