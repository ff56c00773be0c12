<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\EdgeText;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Signal\Begin;
use Linguator\Core\Signal\CardDraft;
use Linguator\Core\Signal\Comparison;
use Linguator\Core\Signal\DecodeOptions;
use Linguator\Core\Signal\Decoder;
use Linguator\Core\Signal\FlagEvidence;
use Linguator\Core\Signal\FramePick;
use Linguator\Core\Signal\FrameTally;
use Linguator\Core\Signal\Readings;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\Reencoder;
use Linguator\Core\Signal\Series;
use Linguator\Core\Signal\Unrecognised;
use Linguator\Core\Signal\ValueLog;
use Linguator\Core\Signal\ValueRow;
use Linguator\Core\Signal\ValueRows;
use Linguator\Core\Signal\Walk;
use Linguator\Core\Signal\Window;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;

/** What a stand-in sends, and what is found in it. */
function standIn(string $kind, array $options): array
{
    $text = implode('', iterator_to_array(Recording::of(StandInOptions::of((object) $options, new Schemas), CaptureKind::from($kind)), false));
    $source = Source::ofText($text);

    return [$source, (new Decoder(FormatCards::all()))->decode($source, new DecodeOptions)];
}

function rowsOf(Source $source, Recognised|ValueLog|Unrecognised $decoding, int $most = 4000): ValueRows
{
    $series = Series::of($decoding->carrier(), $most);
    Walk::through(Walk::reader($source, $decoding->begin->kind, new Damage), $decoding->carrier(), $series);

    return $series->rows();
}

/** Sticks that wander: sums of slow waves, different for each channel. */
function wander(int $channel, float $ms): float
{
    return 150 * sin($ms / (173 + 31 * $channel) + $channel) + 120 * sin($ms / (97 + 17 * $channel)) + 90 * sin($ms / (411 - 23 * $channel));
}

it('finds order, scale, direction, centre and delay between two captures again', function () {
    mt_srand(41);
    for ($turn = 0; $turn < 12; $turn++) {
        $order = [1, 2, 3, 4];
        shuffle($order);
        $delay = 10.0 * mt_rand(-30, 60);
        $scale = array_map(fn (): float => mt_rand(60, 130) / 100 * (mt_rand(0, 3) === 0 ? -1 : 1), range(0, 3));
        $shift = array_map(fn (): float => (float) mt_rand(-40, 40), range(0, 3));
        [$a, $b] = [[], []];
        for ($ms = 0.0; $ms < 6000; $ms += 10) {
            $a[] = new ValueRow($ms, array_combine([1, 2, 3, 4], array_map(fn (int $channel): float => 1500 + wander($channel, $ms), [1, 2, 3, 4])));
            $values = [];
            foreach ($order as $k => $to) {
                $values[$to] = 1500 + $shift[$k] + $scale[$k] * wander($k + 1, $ms - $delay);
            }
            ksort($values);
            $b[] = new ValueRow($ms, $values);
        }
        $decoding = new ValueLog(new Begin(CaptureKind::Csv, new DecodeOptions, null, true), new Damage, new FrameTally(null, 0));
        $answer = Plain::object(new Comparison(new ValueRows($a), new ValueRows($b), $decoding, $decoding));
        expect($answer['delay_ms'])->toEqualWithDelta($delay, 10.0)
            ->and(array_column($answer['channels'], 'b'))->toBe($order)
            ->and(in_array('order_differs', array_column($answer['findings'], 'code'), true))->toBe($order !== [1, 2, 3, 4])
            ->and(in_array('reversed', array_column($answer['findings'], 'code'), true))->toBe(min($scale) < 0)
            ->and(array_column($answer['findings'], 'code'))->not->toContain('format_differs', 'rate_differs', 'channel_missing')
            ->and(array_column($answer['channels'], 'reversed'))->toBe(array_map(fn (float $one): bool => $one < 0, $scale));
        foreach ($answer['channels'] as $k => $row) {
            expect($row['scale'])->toEqualWithDelta($scale[$k], 0.02);
            if ($scale[$k] > 0) {
                expect($row['offset_us'])->toEqualWithDelta($shift[$k], 3.0);
            }
        }
    }
});

it('names the channel that moves in the second capture only, whatever else was or was not moved', function (array $left, array $right, ?string $says) {
    $rows = function (array $moving): ValueRows {
        $rows = [];
        for ($ms = 0.0; $ms < 4000; $ms += 20) {
            $rows[] = new ValueRow($ms, array_combine(range(1, 8), array_map(fn (int $channel): float => 1500 + (in_array($channel, $moving, true) ? wander($channel, $ms) : 0.0), range(1, 8))));
        }

        return new ValueRows($rows);
    };
    $decoding = new ValueLog(new Begin(CaptureKind::Csv, new DecodeOptions, null, true), new Damage, new FrameTally(null, 0));
    $findings = Plain::object(new Comparison($rows($left), $rows($right), $decoding, $decoding))['findings'];
    expect(array_column($findings, 'message', 'code')['moves_in_one'] ?? null)->toBe($says);
})->with([
    'a button alone' => [[], [6], 'Channel 6 moves in the second capture only.'],
    'a button beside sticks' => [[1, 2], [1, 2, 7], 'Channel 7 moves in the second capture only.'],
    'two of them' => [[1], [1, 5, 8], 'Channels 5, 8 move in the second capture only.'],
    'the same' => [[1, 2], [1, 2], null],
    'fewer' => [[1, 2], [1], null],
    'others' => [[1], [2], null],
]);

it('sends values again in every format, and they are read as what they were', function (string $format) {
    [$source, $decoding] = standIn('csv', ['format' => 'ppm', 'seconds' => 3, 'channels' => 6]);
    $rows = rowsOf($source, $decoding);
    $card = $format === 'ppm' ? null : FormatCards::get($format);
    $signal = new Reencoder($card);
    $again = Source::ofText(implode('', iterator_to_array(EdgeText::vcd($signal->idle(), $signal->edges($rows)), false)));
    $read = (new Decoder(FormatCards::all()))->decode($again, new DecodeOptions);
    expect($read->carrier()->format())->toBe(strtok($format, '-'))->and($read->tally->bad)->toBe(0);
    $before = array_column($decoding->tally->channels->summaries(), null, 'channel');
    foreach (array_slice($read->tally->channels->summaries(), 0, 6) as $channel) {
        // Formats in two halves carry each channel in every other frame only.
        expect($channel->maxUs)->toEqualWithDelta($before[$channel->channel]->maxUs, 12.0)
            ->and($channel->minUs)->toEqualWithDelta($before[$channel->channel]->minUs, 12.0);
    }
})->with(['ppm', 's100i', 's420c', 's115u', 's115e', 's115f', 's115t', 's115t-10']);

it('shows in any stretch of a capture exactly the changes that lie in it', function () {
    mt_srand(42);
    [$source, $decoding] = standIn('vcd', ['format' => 's115u', 'seconds' => 0.4]);
    $reader = fn () => Walk::reader($source, CaptureKind::Vcd, new Damage);
    $all = [];
    foreach ($reader()->edges(0) as $edges) {
        foreach ($edges->times as $k => $us) {
            $all[] = [$us, $edges->level ^ $k & 1];
        }
    }
    for ($turn = 0; $turn < 60; $turn++) {
        $from = mt_rand(0, 400_000) + 0.5;
        $to = $from + mt_rand(20, 60_000);
        $seen = (array) (new Window($decoding->begin, $from, $to))->of($reader());
        $inside = array_values(array_filter($all, fn (array $change): bool => $change[0] >= $from && $change[0] <= $to));
        $before = array_values(array_filter($all, fn (array $change): bool => $change[0] < $from));
        expect($seen['level'])->toBe($before === [] ? 1 : end($before)[1]);
        if ($seen['edges'] === null) {
            expect(array_sum(array_column($seen['spans'], 'changes')))->toBe(count($inside));
        } else {
            expect($seen['edges'])->toEqualWithDelta(array_column($inside, 0), 1e-3);
        }
        foreach ($seen['bytes'] as $byte) {
            expect($byte['to_us'])->toBeGreaterThanOrEqual($from)->and($byte['us'])->toBeLessThanOrEqual($to);
        }
    }
});

it('picks any frames by their number, and stops there', function () {
    [$source, $decoding] = standIn('hex', ['format' => 's100i', 'seconds' => 2]);
    $all = new FramePick(0, PHP_INT_MAX);
    Walk::through(Walk::reader($source, CaptureKind::Hex, new Damage), $decoding->carrier(), $all);
    foreach ([0, 1, 77, 142] as $index) {
        $pick = new FramePick($index, 1);
        expect(fn () => Walk::through(Walk::reader($source, CaptureKind::Hex, new Damage), $decoding->carrier(), $pick))->toThrow(Linguator\Core\Signal\Enough::class)
            ->and($pick->picked)->toEqual([$all->picked[$index]]);
    }
});

it('thins a long capture out evenly, halves in turn together', function () {
    [$source, $decoding] = standIn('bin', ['format' => 's115t', 'seconds' => 30]);
    $rows = rowsOf($source, $decoding, 500);
    expect(count($rows))->toBeLessThanOrEqual(501)->toBeGreaterThan(200);
    foreach (array_slice(iterator_to_array($rows), 2) as $row) {
        expect(array_keys($row->us))->toBe(range(1, 14));
    }
    expect($rows->lastMs())->toBeGreaterThan(28_000.0);
});

it('takes ends and rest of a stick, and says where a stick does not rest in its middle', function () {
    $row = fn (float $ms, float $one, float $two, float $three): ValueRow => new ValueRow($ms, [1 => $one, 2 => $two, 3 => $three]);
    $rows = [$row(0, 1500, 1085, 1490), $row(20, 1012, 2012, 1490), $row(40, 1990, 1085, 1490), $row(60, 1500, 1085, 1491), $row(80, 1501, 1085, 1490)];
    expect(Plain::of(Readings::of(new ValueRows($rows))))->toEqual([
        1 => ['lo' => 1012.0, 'mid' => 1500.0, 'hi' => 1990.0, 'moved' => true, 'rested' => true],
        2 => ['lo' => 1085.0, 'mid' => 1548.5, 'hi' => 2012.0, 'moved' => true, 'rested' => false],
        3 => ['lo' => 1490.0, 'mid' => 1490.5, 'hi' => 1491.0, 'moved' => false, 'rested' => false],
    ])->and(Readings::of(new ValueRows([new ValueRow(0, [1 => 1201.0]), new ValueRow(20, [1 => 1800.0])]))[1]->moved)->toBeFalse()
        ->and(Readings::of(new ValueRows([new ValueRow(0, [1 => 1200.0]), new ValueRow(20, [1 => 1800.0])]))[1]->moved)->toBeTrue()
        ->and(Readings::of(new ValueRows([])))->toBe([]);
});

it('puts a cut link in one sentence', function () {
    [, $cut] = standIn('hex', ['format' => 's115f', 'seconds' => 1, 'failsafe_after_s' => 0.5]);
    [, $whole] = standIn('bin', ['format' => 's115u', 'seconds' => 1]);
    expect(FlagEvidence::sentence($cut))->toStartWith('failsafe flag up from 0.51 s, ')->toContain('3 at 988')
        ->and(FlagEvidence::sentence($whole))->toStartWith('no failsafe flag seen; last values');
});

it('drafts a card of what was measured that is a sound card', function () {
    $frames = '';
    for ($k = 0; $k < 200; $k++) {
        $frames .= "\x71".pack('v*', 1500 + $k % 90, 1200, 1700 - $k % 50)."\x00";
    }
    $source = Source::ofText($frames);
    $decoding = (new Decoder(FormatCards::all()))->decode($source, new DecodeOptions);
    $draft = CardDraft::text($decoding);
    $card = Linguator\Core\Format\FormatCard::of(Linguator\Core\Document\Yaml::decodeAll($draft)[0]['value'], new Schemas);
    expect($decoding->carrier()->format())->toBeNull()->and($draft)->toContain('const: "71"')->toContain('Every 8 bytes')->and($card->mostChannels)->toBe(3);
});

/**
 * The changes of a stand-in, spoilt the way wires and analysers spoil them.
 *
 * @param  list<float>  $times
 * @return list<float>
 */
function onABadDay(array $times, string $what, float $bitUs): array
{
    $spoilt = [];
    foreach ($times as $k => $us) {
        if ($what === 'lost changes' && in_array($k % 1000, [500, 501], true)) {
            continue;
        }
        $spoilt[] = $what === 'jitter' ? $us + $bitUs * mt_rand(-80, 80) / 1000 : $us;
        if ($what === 'glitches' && $k % 100 === 50 && ($times[$k + 1] ?? 0) - $us > 2 * $bitUs) {
            array_push($spoilt, $us + 0.3 * $bitUs, $us + 0.34 * $bitUs);
        }
    }

    return $what === 'begun in the middle' ? array_slice($spoilt, 138) : $spoilt;
}

it('knows a line on a bad day', function (string $format, string $what, float $soundShare) {
    mt_srand(43);
    $options = StandInOptions::of((object) ['format' => $format, 'seconds' => 1.5], new Schemas);
    $standIn = new Linguator\Core\StandIn\StandIn($options);
    $edges = iterator_to_array($standIn->edges(), false);
    $times = onABadDay(array_merge(...array_column($edges, 'times')), $what, 1e6 / $options->card->baud);
    $text = implode('', iterator_to_array(EdgeText::csv($standIn->idle(), [new Linguator\Core\Line\Edges($edges[0]->level, $times)]), false));
    $decoding = (new Decoder(FormatCards::all()))->decode(Source::ofText($text), new DecodeOptions);
    expect($decoding->format)->toBe($format)
        ->and($decoding->carrier()->line->isInverted)->toBe($options->card->isInverted)
        ->and($decoding->tally->good / ($decoding->tally->good + $decoding->tally->bad))->toBeGreaterThanOrEqual($soundShare);
})->with(['s100i', 's420c', 's115u', 's115t', 's115e', 's115f'])->with([['glitches', 0.97], ['jitter', 1.0], ['lost changes', 0.5], ['begun in the middle', 1.0]]);
