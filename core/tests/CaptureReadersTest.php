<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\HexReader;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\VcdReader;
use Linguator\Core\Capture\WavReader;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\Decode;

const CHUNK = 65_536;

function recorded(string $format, CaptureKind $kind, float $seconds = 2): string
{
    return implode('', iterator_to_array(Recording::of(StandInOptions::of((object) ['format' => $format, 'seconds' => $seconds], new Schemas), $kind), false));
}

/** What the verb says of a capture, without what tells where in the file things stand. */
function saidOf(string $capture, array $options = []): array
{
    $answer = json_decode(Json::compact(Decode::answer(Source::ofText($capture), (object) $options)), true);
    foreach ($answer['first_frames'] as $k => $frame) {
        unset($answer['first_frames'][$k]['offset']);
    }

    return $answer;
}

/**
 * A recording with a square wave on each side, high and low for so many samples in turn.
 *
 * @param  list<array{int, int}>  $sides  Samples of one stay, and its swing in parts of full scale of 1000.
 */
function square(int $bits, array $sides, int $samples, int $rate = 48_000, ?int $length = null, bool $isExtensible = false): string
{
    $data = '';
    for ($k = 0; $k < $samples; $k++) {
        foreach ($sides as [$stay, $swing]) {
            $value = (int) ((intdiv($k, $stay) % 2 === 1 ? 1 : -1) * $swing * (1 << $bits - 1) / 1000);
            $data .= match ($bits) {
                8 => chr($value + 128),
                16 => pack('v', $value & 0xFFFF),
                24 => substr(pack('V', $value & 0xFFFFFF), 0, 3),
            };
        }
    }
    $count = count($sides);
    $format = pack('vvVVvv', $isExtensible ? 0xFFFE : 1, $count, $rate, intdiv($rate * $count * $bits, 8), intdiv($count * $bits, 8), $bits);
    $format .= $isExtensible ? pack('vvVv', 22, $bits, 3, 1)."\0\0\0\0\x10\0\x80\0\0\xAA\0\x38\x9B\x71" : '';
    // A chunk of other things stands before the samples, its length odd.
    $notes = 'LIST'.pack('V', 5)."notes\0";

    return 'RIFF'.pack('V', 4 + strlen($notes) + 8 + strlen($format) + 8 + strlen($data)).'WAVEfmt '.pack('V', strlen($format)).$format.$notes.'data'.pack('V', $length ?? strlen($data)).$data;
}

it('reads the same wherever the chunks of a file end', function (CaptureKind $kind, string $format, Closure $pad) {
    $text = recorded($format, $kind);
    $expected = saidOf($text, ['kind' => $kind->value]);
    expect($expected['format'])->toBe($format)->and($expected['frames']['good'])->toBeGreaterThan(50);
    foreach ([...range(0, 23), 777, 5003, 20_011] as $back) {
        $padded = $pad($text, CHUNK - 3000 - $back);
        expect(strlen($padded))->toBeGreaterThan(CHUNK);
        expect(saidOf($padded, ['kind' => $kind->value]))->toBe($expected, "the chunk ends $back bytes further on");
    }
})->with([
    'hex with times' => [CaptureKind::Hex, 's115u', fn (string $text, int $bytes): string => str_repeat(' ', $bytes - 1)."\n".$text],
    'a table' => [CaptureKind::Csv, 's420c', fn (string $text, int $bytes): string => str_repeat(' ', $bytes).$text],
    'a dump' => [CaptureKind::Vcd, 'ppm', fn (string $text, int $bytes): string => substr_replace($text, '$comment '.str_repeat('c', $bytes).' $end ', 0, 0)],
]);

it('finds every change of a recording of 8, 16 and 24 bits, on either side', function (int $bits, bool $isExtensible) {
    foreach ([[[30, 700]], [[30, 700], [50, 200]], [[50, 200], [30, 700]]] as $sides) {
        $reader = new WavReader(Source::ofText(square($bits, $sides, 48_000, isExtensible: $isExtensible)));
        expect($reader->wires())->toBe(count($sides) === 1 ? ['mono'] : ['left', 'right']);
        // The louder side is taken; the other one when it is asked for.
        $loud = $sides[0][1] === 700 ? 0 : 1;
        expect($reader->busiest())->toBe($loud);
        foreach ($sides as $side => [$stay]) {
            $times = array_merge(...array_map(fn ($edges): array => $edges->times, iterator_to_array($reader->edges($side), false)));
            expect(count($times))->toBe(intdiv(48_000 - 1, $stay));
            foreach ($times as $k => $us) {
                expect($us)->toEqualWithDelta((($k + 1) * $stay - 0.5) * 1e6 / 48_000, 0.6e6 / 48_000);
            }
        }
    }
})->with([8, 16, 24])->with([false, true]);

it('does not believe the length a recording claims, and hears nothing in silence', function () {
    $whole = square(16, [[30, 700]], 9600);
    foreach ([0, 10, 0xFFFFFFFF] as $length) {
        $lying = square(16, [[30, 700]], 9600, length: $length);
        expect(iterator_to_array((new WavReader(Source::ofText($lying)))->edges(0), false))->toEqual(iterator_to_array((new WavReader(Source::ofText($whole)))->edges(0), false));
    }
    foreach ([8, 16, 24] as $bits) {
        expect(iterator_to_array((new WavReader(Source::ofText(square($bits, [[30, 9]], 9600))))->edges(0)))->toBe([]);
    }
    // Half a sample at the end is not one.
    expect(iterator_to_array((new WavReader(Source::ofText(substr(square(24, [[30, 700]], 9600), 0, -1))))->edges(0)))->not->toBe([]);
});

it('reads dumps as the standard allows them to be written', function (string $header, string $body, array $expected) {
    $damage = new Damage;
    $reader = new VcdReader(Source::ofText("\$timescale $header \$end\n\$scope module top \$end\n\$var wire 1 ! rx \$end\n\$var wire 8 \" bus [7:0] \$end\n\$var real 64 r level \$end\n\$var reg 1 5 clock \$end\n\$upscope \$end\n\$enddefinitions \$end\n$body"), $damage);
    expect($reader->wires())->toBe(['rx', 'clock'])->and($damage->count)->toBe(0);
    $seen = array_merge([], ...array_map(fn ($edges): array => array_map(fn (float $us, int $k): array => [round($us, 6), $edges->level ^ $k & 1], $edges->times, array_keys($edges->times)), iterator_to_array($reader->edges(0), false)));
    expect($seen)->toBe($expected)->and($damage->count)->toBe(0);
})->with([
    'microseconds' => ['1 us', "#0\n1!\n#10\n0!\n#25\n1!\n", [[10.0, 0], [25.0, 1]]],
    'ten nanoseconds' => ['10ns', "#0\n1!\n#10\n0!\n#25\n1!\n", [[0.1, 0], [0.25, 1]]],
    'a hundred picoseconds' => ["\n\t100 ps\n", "#0\n1!\n#10000\n0!\n", [[1.0, 0]]],
    'milliseconds' => ['1 ms', "#0 1!\n#3 0!\n", [[3000.0, 0]]],
    'values before the first time' => ['1 us', "\$dumpvars\n1!\nb00001111 \"\n05\n\$end\n#10\n0!\n", [[10.0, 0]]],
    'vectors, reals and other wires between' => ['1 us', "#0\n1!\nb1010 \"\nr3.25 r\n15\n#10\n0!\nb11 \"\n05\n#12\n15\n#20\n1!\n", [[10.0, 0], [20.0, 1]]],
    'one bit as a vector' => ['1 us', "#0\nb1 !\n#10\nb0 !\n#20\nB1 !\n", [[10.0, 0], [20.0, 1]]],
    'unknown and floating' => ['1 us', "#0\nx!\n#5\n1!\n#10\nz!\n#12\n1!\n#20\n0!\n", [[20.0, 0]]],
    'dumping switched off and on' => ['1 us', "#0\n1!\n#10\n\$dumpoff\nx!\n\$end\n#20\n\$dumpon\n0!\n\$end\n", [[20.0, 0]]],
    'the same value again' => ['1 us', "#0\n1!\n#10\n1!\n#15\n0!\n#16\n0!\n", [[15.0, 0]]],
    'all in one line' => ['1 us', '#0 1! #10 0! #20 1! #30', [[10.0, 0], [20.0, 1]]],
    'carriage returns' => ['1 us', "#0\r\n1!\r\n#10\r\n0!\r\n", [[10.0, 0]]],
]);

it('tells the kind of a capture by its begin', function (string $begin, CaptureKind $kind) {
    expect(CaptureKind::of(Source::ofText($begin)))->toBe($kind);
})->with([
    ['0f 00 ff', CaptureKind::Hex],
    ['0x0F,0x00', CaptureKind::Hex],
    ['0f00ff', CaptureKind::Hex],
    ["12.5 ms: 0f 00\n19 ms: 0f", CaptureKind::Hex],
    ["\xEF\xBB\xBF0,012345 s: C8 18", CaptureKind::Hex],
    ["time_us,level\n1,0", CaptureKind::Csv],
    ["\xEF\xBB\xBFTime [s];A;B\r\n0,5;1;0", CaptureKind::Csv],
    ["t\tv\n1\t0", CaptureKind::Csv],
    ["\n\n\$date today \$end", CaptureKind::Vcd],
    ['$comment x $end $timescale 1 ns $end', CaptureKind::Vcd],
    ["RIFF\0\0\0\0WAVEfmt ", CaptureKind::Wav],
    ["RIFF\0\0\0\0AVI LIST", CaptureKind::Binary],
    ["\x0f\x00\xe0", CaptureKind::Binary],
    ["\xc8\x18\x16", CaptureKind::Binary],
    ['hello there', CaptureKind::Binary],
]);

it('takes times of hex lines in any unit, and leaves bytes without a time alone', function (string $text, string $bytes, array $us, int $damaged) {
    $damage = new Damage;
    [$read, $times] = ['', []];
    foreach ((new HexReader(Source::ofText($text), $damage))->bytes() as $some) {
        $read .= $some->bytes;
        array_push($times, ...$some->times);
    }
    expect([bin2hex($read), $times, $damage->count])->toBe([$bytes, $us, $damaged]);
})->with([
    'milliseconds' => ["1.5 ms: 0f 01\n2 ms: 02", '0f0102', [1500.0, 1500.0, 2000.0], 0],
    'seconds with a comma' => ['0,25 s: ff', 'ff', [250_000.0], 0],
    'micro signs of both kinds' => ["5 µs: 01\n6 μs: 02\n7us:03", '010203', [5.0, 6.0, 7.0], 0],
    'nanoseconds' => ['1500 ns: 0xAB', 'ab', [1.5], 0],
    'a time that runs back' => ["2 ms: 01\n1 ms: 02\n3 ms: 03", '010203', [2000.0, 2000.0, 3000.0], 1],
    'no times' => ["0f;01,02\n03", '0f010203', [], 0],
    'a time on the second line only' => ["0f\n2 ms: 01", '0f01', [], 0],
    'an odd digit' => ["0f 0\n01", '0f01', [], 1],
]);
