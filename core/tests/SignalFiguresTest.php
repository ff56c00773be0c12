<?php

declare(strict_types=1);

use Linguator\Core\Capture\CsvEdges;
use Linguator\Core\Capture\CsvLayout;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\EdgeText;
use Linguator\Core\Capture\Lines;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\VcdReader;
use Linguator\Core\Capture\WavReader;
use Linguator\Core\Capture\WavWriter;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\ChannelBits;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Formats;
use Linguator\Core\Format\FrameAnatomy;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\Pulses;
use Linguator\Core\Signal\Block;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\Signal\ChannelTally;
use Linguator\Core\Signal\Live;
use Linguator\Core\Signal\LiveSound;
use Linguator\Core\Signal\PeriodTally;
use Linguator\Core\Signal\QuietestSecond;
use Linguator\Core\Signal\Span;
use Linguator\Core\Signal\ValueRow;
use Linguator\Core\Signal\ValueRows;
use Linguator\Core\Tests\Frames;

/** @return list<float> Times of changes: short and long stays mixed. */
function changes(int $count): array
{
    $us = 1000.0;
    $times = [];
    for ($k = 0; $k < $count; $k++) {
        $times[] = $us += round(mt_rand(200, mt_rand(0, 9) === 0 ? 9_000_000 : 300_000) / 1000, 3);
    }

    return $times;
}

/** @param  iterable<Edges>  $edges */
function flat(iterable $edges): array
{
    $all = [];
    foreach ($edges as $some) {
        foreach ($some->times as $k => $us) {
            $all[] = [round($us, 3), $some->level ^ $k & 1];
        }
    }

    return $all;
}

it('takes lowest, highest, mean and last of channels as plain arithmetic does, in any blocks', function () {
    mt_srand(31);
    for ($turn = 0; $turn < 20; $turn++) {
        $tally = new ChannelTally(992, 0.625);
        $all = [];
        for ($block = 0; $block < 12; $block++) {
            $frames = mt_rand(1, 400);
            $columns = [];
            for ($k = 0; $k < $frames; $k++) {
                // The second channel comes in every other frame only.
                $columns[1][$k] = $all[1][] = mt_rand(0, 2047);
                if ($k % 2 === 0) {
                    $columns[2][$k] = $all[2][] = mt_rand(900, 1100);
                }
            }
            $tally->add(new Block($columns, $frames));
        }
        foreach ($tally->summaries() as $figures) {
            $counts = $all[$figures->channel];
            expect($figures->minUs)->toEqualWithDelta(1500 + (min($counts) - 992) * 0.625, 1e-6)
                ->and($figures->maxUs)->toEqualWithDelta(1500 + (max($counts) - 992) * 0.625, 1e-6)
                ->and($figures->meanUs)->toEqualWithDelta(1500 + (array_sum($counts) / count($counts) - 992) * 0.625, 1e-6)
                ->and($figures->lastUs)->toEqualWithDelta(1500 + (end($counts) - 992) * 0.625, 1e-6)
                ->and($figures->noiseUs)->toBeNull();
        }
        $spans = $tally->spans();
        expect(count($spans))->toBeLessThanOrEqual(601)
            ->and(min(array_map(fn (Span $span): int => $span->bounds->low[1], $spans)))->toBe(min($all[1]))
            ->and(max(array_map(fn (Span $span): int => $span->bounds->high[1], $spans)))->toBe(max($all[1]));
    }
});

it('keeps a drawing of bounded size however long the capture is', function () {
    $tally = new ChannelTally(0, 1);
    for ($k = 0; $k < 300_000; $k++) {
        $tally->addPulses(new Pulses([1 => $k], 1000.0 * $k));
    }
    $spans = $tally->spans();
    expect(count($spans))->toBeLessThanOrEqual(601)->toBeGreaterThan(250)
        ->and($spans[0]->bounds->low[1])->toBe(0)->and(end($spans)->bounds->high[1])->toBe(299_999);
    foreach ($spans as $k => $span) {
        expect($span->bounds->low[1])->toBe($span->frame)->and($span->us)->toBe(1000.0 * $span->frame);
    }
});

it('finds the quietest second as trying every second does', function () {
    mt_srand(32);
    for ($turn = 0; $turn < 15; $turn++) {
        [$second, $rows, $us] = [new QuietestSecond, [], 0.0];
        for ($k = 0; $k < 400; $k++) {
            $us += mt_rand(2000, 20_000);
            $rows[] = [$us, mt_rand(-mt_rand(1, 50), 50)];
            $second->add(...end($rows));
        }
        $least = INF;
        foreach ($rows as [$end]) {
            $inside = array_column(array_filter($rows, fn (array $row): bool => $row[0] > $end - 1e6 && $row[0] <= $end), 1);
            if ($end - $rows[0][0] >= 1e6) {
                $mean = array_sum($inside) / count($inside);
                $least = min($least, array_sum(array_map(fn (int $value): float => ($value - $mean) ** 2, $inside)) / count($inside));
            }
        }
        expect($second->sigma())->toEqualWithDelta(sqrt($least), 1e-9);
    }
});

it('tells mean, spread and late frames of periods as plain arithmetic does', function () {
    mt_srand(33);
    [$tally, $periods, $us] = [new PeriodTally, [], 0.0];
    $tally->add($us);
    for ($k = 0; $k < 2000; $k++) {
        $periods[] = mt_rand(0, 40) === 0 ? 14_000.0 * mt_rand(2, 4) : (float) mt_rand(13_900, 14_100);
        $tally->add($us += end($periods));
    }
    $answer = (array) $tally->jsonSerialize();
    $mean = array_sum($periods) / 2000;
    $late = count(array_filter($periods, fn (float $period): bool => $period > 21_000));
    expect($answer['mean'])->toEqualWithDelta($mean / 1000, 1e-5)
        ->and($answer['min'])->toEqualWithDelta(min($periods) / 1000, 1e-9)->and($answer['max'])->toEqualWithDelta(max($periods) / 1000, 1e-9)
        ->and($answer['sd'])->toEqualWithDelta(sqrt(array_sum(array_map(fn (float $period): float => ($period - $mean) ** 2, $periods)) / 2000) / 1000, 1e-4)
        ->and($answer['late_share'])->toEqualWithDelta($late / 2000, 1e-9);
});

it('packs and unpacks channels of any width, from either end', function (string $first) {
    mt_srand(34);
    foreach (range(8, 16) as $bits) {
        foreach ([1, 3, 7, 16, 31] as $channels) {
            $card = FormatCard::of(Frames::ownCard(['stuffing' => ['escape' => 16, 'xor' => 32], 'channels' => ['min' => $channels, 'max' => $channels], 'scale' => ['centre' => 1, 'us' => 1, 'max' => 255], 'parts' => [['const' => '02'], ['channels' => 'packed', 'bits' => $bits, 'first' => $first], ['const' => '03']]]), new Linguator\Core\Document\Schemas);
            $packer = new ChannelBits($card->channelPart());
            $counts = array_combine(range(1, $channels), array_map(fn (): int => mt_rand(0, (1 << $bits) - 1), range(1, $channels)));
            $bytes = $packer->pack($counts);
            expect(strlen($bytes))->toBe($packer->size($channels))->and($packer->unpack($bytes, $channels))->toBe($counts);
            // The bits themselves, one after the other.
            $all = implode('', array_map(fn (string $byte): string => $first === 'msb' ? sprintf('%08b', ord($byte)) : strrev(sprintf('%08b', ord($byte))), str_split($bytes)));
            $channel = substr($all, ($channels - 1) * $bits, $bits);
            expect(bindec($first === 'msb' ? $channel : strrev($channel)))->toBe($counts[$channels]);
        }
    }
})->with(['lsb', 'msb']);

it('names every byte of every frame once', function (FormatCard $card) {
    mt_srand(35);
    $anatomy = new FrameAnatomy($card);
    $plain = new Linguator\Core\Format\Encoder($card);
    for ($k = 0; $k < 20; $k++) {
        $frame = $plain->plain(Frames::any($card));
        $fields = $anatomy->fields($frame);
        expect(implode('', array_column($fields, 'hex')))->toBe(bin2hex($frame))
            ->and(array_filter($fields, fn (array $field): bool => ! $field['sound'] || $field['name'] === '' || $field['says'] === ''))->toBe([])
            ->and(array_column($anatomy->channels($frame), 'raw', 'channel'))->toBe((new FrameLayout($card))->counts($frame));
        $broken = substr_replace($frame, chr(ord($frame[strlen($frame) - 1]) ^ 0x55), -1);
        if ((new FrameLayout($card))->isChecked) {
            expect(array_column($anatomy->fields($broken), 'sound'))->toContain(false);
        }
    }
})->with(fn () => Frames::cards());

it('reads the changes it has written, as a table and as a dump, whatever way the rows stand', function () {
    mt_srand(36);
    $times = changes(9000);
    $edges = [new Edges(1, $times)];
    $expected = flat($edges);
    $csv = implode('', iterator_to_array(EdgeText::csv(0, $edges), false));
    $vcd = implode('', iterator_to_array(EdgeText::vcd(0, $edges), false));
    $table = function (string $text): array {
        $source = Source::ofText($text);
        $damage = new Damage;
        $read = flat((new CsvEdges($source, CsvLayout::of($source->head(65_536)), $damage))->edges(0));
        expect($damage->count)->toBe(0);

        return $read;
    };
    $dump = function (string $text): array {
        $damage = new Damage;
        $read = flat((new VcdReader(Source::ofText($text), $damage))->edges(0));
        expect($damage->count)->toBe(0);

        return $read;
    };
    expect($table($csv))->toBe($expected)
        ->and($table(str_replace("\n", "\r\n", $csv)))->toBe($expected)
        // Every row said twice: samples, not changes.
        ->and($table((string) preg_replace('/^(\d.*)$/m', "\$1\n\$1", $csv)))->toBe($expected)
        ->and($dump($vcd))->toBe($expected)
        ->and($dump((string) preg_replace('/\n([01]!)/', ' $1', $vcd)))->toBe($expected)
        ->and($dump((string) preg_replace('/^(#\d+)$/m', "\$1\nb1010 %\nxq", $vcd)))->toBe($expected);
});

it('finds the changes of a recording again to within two microseconds', function () {
    mt_srand(37);
    $us = 500.0;
    $times = [];
    for ($k = 0; $k < 600; $k++) {
        $times[] = $us += mt_rand(300_000, 2_000_000) / 1000;
    }
    $wav = implode('', iterator_to_array(WavWriter::write(0, [new Edges(1, $times)], $us + 3000), false));
    $found = array_column(flat((new WavReader(Source::ofText($wav)))->edges(0)), 0);
    expect($found)->toHaveCount(600);
    foreach ($found as $k => $at) {
        // A sample stands for its whole time: all changes come half a sample early alike, which no duration sees.
        expect(abs($at + 0.5e6 / WavWriter::RATE - $times[$k]))->toBeLessThan(2.0);
    }
});

it('cuts text at line ends, whatever the chunks, and no line grows without end', function () {
    $text = "\xEF\xBB\xBFone\r\ntwo\nthree\rfour\n\nsix";
    foreach (range(1, 9) as $size) {
        $lines = '';
        foreach (Lines::blocks(str_split($text, $size)) as $block) {
            $lines .= $block;
        }
        expect(array_slice(explode("\n", str_replace("\n\n", "\n", $lines)), -5))->toContain('two', 'four', 'six');
    }
    $longest = 0;
    foreach (Lines::blocks((function () {
        for ($k = 0; $k < 200; $k++) {
            yield str_repeat('x', 10_000);
        }
    })()) as $block) {
        $longest = max($longest, strlen($block));
    }
    expect($longest)->toBeLessThan(100_000);
});

it('shows live what a decoding of the same bytes says, in pieces of any size', function (string $id) {
    mt_srand(38);
    $card = FormatCards::get($id);
    $frames = Frames::stream($card, 120);
    $live = new Live(FormatCards::all());
    $bytes = implode('', $frames);
    for ($at = 0; $at < strlen($bytes); $at += $size) {
        $size = mt_rand(1, 90);
        $live->push(substr($bytes, $at, $size));
    }
    $live->finish();
    $seen = (array) $live->snapshot();
    $last = [];
    foreach ($frames as $wire) {
        $last = (new Linguator\Core\Tests\FrameReader($card))->read($wire)->counts + $last;
    }
    ksort($last);
    expect($seen['card'])->toBe($id)->and($seen['good'])->toBe(120)->and($seen['bad'])->toBe(0)
        ->and(array_column($seen['channels'], 'us', 'channel'))->toEqualWithDelta(array_map($card->scale->us(...), $last), 1e-6);
})->with(['s100i', 's420c', 's115u', 's115t', 's115t-10', 's115f']);

it('hears a pulse train in a tenth of a second of a sound input, and says why where it hears none', function () {
    $wav = (string) file_get_contents(dirname(__DIR__, 2).'/demo/captures/mudlark-train.wav');
    $desk = new CaptureDesk(Formats::shipped(), new Schemas);
    $ear = new LiveSound($desk, 48_000);
    // What the whole recording shows at this time, to its grain: the same train, wherever the stretch is cut.
    foreach ([0, 0.31, 0.777, 1.2] as $second) {
        $heard = $ear->heard(substr($wav, 44 + 2 * (int) ($second * 48_000), 9600));
        expect($heard->format)->toBe('ppm')->and($heard->channels)->toHaveCount(6)->and($heard->says)->toBeNull()->and($heard->grain_us)->toBe(20.8);
        $us = array_column($heard->channels, 'us', 'channel');
        expect(min($us))->toBeGreaterThan(980)->and(max($us))->toBeLessThan(2020);
    }
    // The newest value, not one of the others: at this place the stick goes up.
    $rising = $ear->heard(substr($wav, 44 + 24_000, 9600))->channels[0];
    expect($rising['us'])->toBe($rising['high_us'])->toBeGreaterThan($rising['low_us'] + 10);
    $pulses = implode('', array_map(static fn (int $k): string => pack('v', (($k + 300) % 960 < 72 ? 20_000 : -20_000) & 0xFFFF), range(0, 4799)));
    $servo = $ear->heard($pulses);
    expect($servo->format)->toBe('pwm')->and($servo->channels)->toHaveCount(1)->and($servo->channels[0]['us'])->toEqualWithDelta(1500.0, 1.0);
    expect($ear->heard('')->says)->toStartWith('Nothing is heard')
        ->and($ear->heard(str_repeat("\x10\x00", 4800))->says)->toStartWith('Nothing is heard')
        ->and($ear->heard(implode('', array_map(static fn (int $k): string => pack('v', (int) (9000 * sin($k / 7)) & 0xFFFF), range(1, 4800))))->says)->toStartWith('Something is heard')
        ->and($ear->heard(substr($wav, 44, 900))->format)->toBeNull();
});

it('hears the pulse of a servo wherever the stretch is cut, inside a pulse too', function () {
    $ear = new LiveSound(new CaptureDesk(Formats::shipped(), new Schemas), 48_000);
    foreach (range(0, 959, 20) as $offset) {
        $samples = implode('', array_map(static fn (int $k): string => pack('v', (($k + $offset) % 960 < 82 ? 20_000 : -20_000) & 0xFFFF), range(0, 5759)));
        expect(array_column($ear->heard($samples)->channels, 'us'))->toEqualWithDelta([1708.3], 0.2);
    }
});

it('says when the newest good frame came, not when it was told', function () {
    $frames = Frames::stream(FormatCards::get('s115e'), 60);
    $live = new Live(FormatCards::all());
    expect($live->snapshot()->t_ms)->toBeNull();
    $live->push(implode('', array_slice($frames, 0, 40)), 812.5);
    $live->push(implode('', array_slice($frames, 40, 10)), 1010.0);
    expect($live->snapshot()->t_ms)->toBe(1010.0);
    // Half a frame is none yet.
    $live->push(substr($frames[50], 0, 5), 1020.0);
    expect($live->snapshot()->t_ms)->toBe(1010.0);
});

it('hands on whole rows only, with their times from the first row on', function () {
    $rows = new ValueRows([new ValueRow(100.0, [1 => 1500.0]), new ValueRow(120.0, [1 => 1501.0, 2 => 1000.0]), new ValueRow(140.0, [1 => 1502.0, 2 => 1001.0])]);
    expect($rows->whole())->toBe([['t_ms' => 20.0, 'us' => [1501.0, 1000.0]], ['t_ms' => 40.0, 'us' => [1502.0, 1001.0]]]);
});
