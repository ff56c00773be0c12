<?php

declare(strict_types=1);

use Linguator\Core\Chain\Cost;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Check;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Tests\Seeded;
use Linguator\Core\Verb\Verbs;

/** @return array<string, mixed> */
function asked(string $verb, array $question): array
{
    return json_decode((string) json_encode((new Verbs(new Schemas))->ask($verb, json_decode((string) json_encode($question)))), true);
}

/** @return list<string> Code and severity. */
function found(array $answer): array
{
    return array_map(fn (array $finding): string => "{$finding['code']}:{$finding['severity']}", $answer['findings']);
}

it('wants 25 µs of room inside a window, and calls its edges inside', function (float $lo, float $hi, array $expected, bool $isOk) {
    // The level is 1500 + 512 = 2012.
    $window = asked('switch', ['scale' => ['centre' => 1500, 'us_per_100' => 512, 'max_pct' => 150], 'switch' => ['positions' => 2, 'weight' => 100, 'offset' => 0], 'windows' => [['name' => 'mode', 'lo' => $lo, 'hi' => $hi, 'wanted' => [2]]]])['windows'][0];
    expect(found($window))->toBe($expected)->and($window['ok'])->toBe($isOk)->and($window['inside'])->toBe($isOk ? [2] : []);
})->with([
    'room enough' => [1700, 2037, [], true],
    'a hair less' => [1700, 2036.9, ['S1:check'], true],
    'just on the edge' => [1700, 2012, ['S1:check'], true],
    'on the lower edge' => [2012, 2100, ['S1:check'], true],
    'a hair outside' => [1700, 2011.9, ['S1:fix'], false],
    'a hair below' => [2012.1, 2100, ['S1:fix'], false],
]);

it('says S2 for a position on the edge of a window that should not hold it', function (float $hi, array $expected) {
    $window = asked('switch', ['scale' => ['centre' => 1500, 'us_per_100' => 500, 'max_pct' => 150], 'switch' => ['positions' => 3, 'weight' => 100, 'offset' => 0], 'windows' => [['name' => 'mode', 'lo' => 900, 'hi' => $hi, 'wanted' => [1]]]])['windows'][0];
    expect(found($window))->toBe($expected);
})->with([[1499.9, []], [1500, ['S2:fix']]]);

it('judges thresholds and centre at their limits', function (array $question, array $expected, ?bool $arms) {
    $answer = asked('thresholds', $question + ['lo' => 1000, 'mid' => 1500, 'hi' => 2000]);
    expect(array_values(array_filter(found($answer), fn (string $code): bool => $code[1] === '2' || $code[1] === '4')))->toBe($expected)->and($answer['arms'])->toBe($arms ?? $answer['arms']);
})->with([
    'lowest just below the threshold' => [['low_threshold' => 1000.1], [], true],
    'lowest on the threshold' => [['low_threshold' => 1000], ['T2:fix'], false],
    'centre 3 µs off' => [['mid' => 1503], [], null],
    'centre a hair more than 3 µs off' => [['mid' => 1503.1], ['T4:fix'], null],
    'below as above' => [['mid' => 1496.9], ['T4:fix'], null],
    'a dead band just as wide' => [['mid' => 1504, 'deadband' => 4], [], null],
    'a dead band a hair narrower' => [['mid' => 1504, 'deadband' => 3.9], ['T4:fix'], null],
]);

it('rounds the dead band up, and never below 2 µs', function (float $sigma, int $band) {
    expect(asked('thresholds', ['lo' => 1000, 'mid' => 1500, 'hi' => 2000, 'noise_sigma' => $sigma])['deadband'])->toEqual($band);
})->with([[0, 2], [0.6, 2], [0.67, 3], [1.0, 3], [1.01, 4], [5, 15]]);

it('weighs volts to a millivolt and current to the share', function (array $device, int $supply, string $severity, string $load) {
    // Three LiPo cells: 12.6 V full, 10.5 V at the alarm.
    $answer = asked('power', ['pack' => ['chemistry' => 'lipo', 'cells' => 3], 'devices' => [['name' => 'x'] + $device], 'supply_ma' => $supply]);
    expect($answer['devices'][0]['severity'])->toBe($severity)->and($answer['load']['severity'])->toBe($load);
})->with([
    'just full enough' => [['min_v' => 5, 'max_v' => 12.6, 'ma' => 699], 1000, 'ok', 'ok'],
    'a millivolt too much is none' => [['min_v' => 5, 'max_v' => 12.599, 'ma' => 700], 1000, 'ok', 'check'],
    'two are' => [['min_v' => 5, 'max_v' => 12.598, 'ma' => 999], 1000, 'stop', 'check'],
    'just flat enough' => [['min_v' => 10.5, 'max_v' => 20, 'ma' => 1000], 1000, 'ok', 'stop'],
    'flat by two millivolts' => [['min_v' => 10.502, 'max_v' => 20, 'ma' => 1], 1000, 'fix', 'ok'],
    'both, and the worse is told' => [['min_v' => 11, 'max_v' => 12, 'ma' => 1], 1000, 'stop', 'ok'],
]);

it('tells a train sound from ambiguous and undetected at the microsecond', function (int $frame, int $max, int $detect, string $verdict) {
    expect(asked('pulse-train', ['frame_us' => $frame, 'channels' => 8, 'min_us' => 988, 'max_us' => $max, 'sync_detect_us' => $detect])['verdict'])->toBe($verdict);
})->with([
    'just as long as needed' => [8 * 2000 + 3000, 2000, 3000, 'sound'],
    'a microsecond short of being seen' => [8 * 2000 + 2999, 2000, 3000, 'undetected'],
    'unmistakable, and that is enough' => [8 * 2000 + 2500, 2000, 1000, 'sound'],
    'a microsecond short of unmistakable' => [8 * 2000 + 2499, 2000, 1000, 'ambiguous'],
    'both at once' => [8 * 2000 + 2400, 2000, 3000, 'ambiguous'],
]);

it('takes a movement for one just beyond 50 µs, and travel for short just below 800', function (int $low, int $high, bool $moved, array $codes) {
    $log = array_map(fn (int $k, int $us): array => ['t_ms' => 100 * $k, 'us' => [$us, 1500, 1500, 1500]], range(0, 8), [1500, 1500, 1500, $high, 1500, $low, 1500, 1500, 1500]);
    $answer = asked('movement', ['log' => $log, 'sequence' => ['A']]);
    expect($answer['channels'][0]['moved'])->toBe($moved)->and(array_values(array_intersect(['short_travel', 'over_travel'], array_column($answer['findings'], 'code'))))->toBe($codes);
})->with([
    'within 50' => [1450, 1550, false, []],
    'a microsecond more' => [1449, 1551, true, ['short_travel']],
    '799 in all' => [1101, 1900, true, ['short_travel']],
    '800 in all' => [1100, 1900, true, []],
    'as far as it may' => [900, 2100, true, []],
    'too low' => [899, 2100, true, ['over_travel']],
    'too high' => [900, 2101, true, ['over_travel']],
]);

it('says that a stick rests off its centre from 11 µs on, but not at its ends', function (int $rest, bool $isOff) {
    $log = array_map(fn (int $k, int $us): array => ['t_ms' => 100 * $k, 'us' => [$us, 1500, 1500, 1500]], range(0, 8), [$rest, $rest, $rest, 2000, $rest, 1000, $rest, $rest, $rest]);
    expect(in_array('rest_off_centre', array_column(asked('movement', ['log' => $log, 'sequence' => ['A']])['findings'], 'code'), true))->toBe($isOff);
})->with([[1510, false], [1511, true], [1490, false], [1489, true], [1151, true], [1150, false], [1849, true], [1850, false]]);

it('adds the costs of parts, and compares them in their order of weight', function () {
    mt_srand(91);
    $any = fn (): Cost => new Cost(mt_rand(0, 2), mt_rand(0, 3), mt_rand(0, 3), mt_rand(0, 40) / 2);
    for ($k = 0; $k < 300; $k++) {
        [$a, $b] = [$any(), $any()];
        $sum = $a->plus($b);
        expect([$sum->fixes, $sum->boxes, $sum->settings, $sum->ms])->toBe([$a->fixes + $b->fixes, $a->boxes + $b->boxes, $a->settings + $b->settings, $a->ms + $b->ms])
            ->and($a->compare($b) <=> 0)->toBe([$a->fixes, $a->boxes, $a->settings, $a->ms] <=> [$b->fixes, $b->boxes, $b->settings, $b->ms]);
    }
});

/** A CRC bit by bit, as its polynomial says. */
function bitwise(string $bytes, int $width, int $poly, int $init): int
{
    $crc = $init;
    foreach (str_split($bytes) as $byte) {
        $crc ^= ord($byte) << $width - 8;
        for ($bit = 0; $bit < 8; $bit++) {
            $crc = ($crc << 1 ^ (($crc >> $width - 1 & 1) === 1 ? $poly : 0)) & (1 << $width) - 1;
        }
    }

    return $crc;
}

it('computes checks as their definitions do, one frame or many at once', function (string $kind, ?int $poly, int $init, string $order) {
    mt_srand(92);
    $part = array_filter(['check' => $kind, 'poly' => $poly, 'init' => $init, 'order' => $order, 'from' => 1], fn (mixed $value): bool => $value !== null && $value !== '');
    if ($poly === null) {
        unset($part['init']);
    }
    $check = Check::of(FormatCard::of(Frames::ownCard(['parts' => [['const' => '02'], ['channels' => 'packed', 'bits' => 9], $part, ['const' => '03']]]), new Schemas)->parts[2]);
    $bytes = str_ends_with($kind, '16') ? 2 : 1;
    for ($k = 0; $k < 200; $k++) {
        $text = Seeded::bytes(mt_rand(1, 40));
        $sum = array_sum(array_map(ord(...), str_split($text)));
        $all = (1 << 8 * $bytes) - 1;
        $value = match (rtrim($kind, '0123456789')) {
            'crc' => bitwise($text, 8 * $bytes, (int) $poly, $init),
            'complement' => $all - ($sum & $all),
            default => $sum & $all,
        };
        $expected = $bytes === 1 ? chr($value) : pack($order === 'little' ? 'v' : 'n', $value);
        expect(bin2hex($check->bytes($text)))->toBe(bin2hex($expected));
    }
})->with([
    'crc8' => ['crc8', 0xD5, 0, ''],
    'crc8 that begins elsewhere' => ['crc8', 0x07, 0xFF, ''],
    'crc16' => ['crc16', 0x1021, 0, 'big'],
    'crc16, little end first' => ['crc16', 0x8005, 0xFFFF, 'little'],
    'sum8' => ['sum8', null, 0, ''],
    'sum16' => ['sum16', null, 0, 'big'],
    'complement8' => ['complement8', null, 0, ''],
    'complement16' => ['complement16', null, 0, 'little'],
]);
