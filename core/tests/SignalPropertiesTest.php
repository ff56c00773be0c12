<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseWriter;
use Linguator\Core\Line\TrainReader;
use Linguator\Core\Line\UartReader;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Tests\Keeper;
use Linguator\Core\Tests\Seeded;
use Linguator\Core\Verb\Services;
use Linguator\Core\Verb\Verbs;

/** @return list<string> Sound frames in a stream of bytes that comes in chunks of these sizes. */
function framed(FormatCard $card, string $bytes, Closure $size): Keeper
{
    $keeper = new Keeper;
    $framer = Framers::for($card);
    for ($at = 0; $at < strlen($bytes); $at += $length) {
        $length = max(1, $size());
        $framer->push(new TimedBytes(substr($bytes, $at, $length)), $keeper);
    }
    $framer->finish($keeper);

    return $keeper;
}

/**
 * @param  list<string>  $frames  One every 10 ms.
 * @return list<string>
 */
function timed(FormatCard $card, array $frames): array
{
    $keeper = new Keeper;
    $framer = Framers::for($card);
    foreach ($frames as $k => $frame) {
        $framer->push(new TimedBytes($frame, array_map(fn (int $byte): float => 10_000.0 * $k + $byte * $card->durationMs(1) * 1000, range(0, strlen($frame) - 1))), $keeper);
    }
    $framer->finish($keeper);

    return $keeper->frames;
}

it('finds the same frames however the bytes are chunked, and they are the frames that were sent', function (FormatCard $card) {
    mt_srand(21);
    for ($k = 0; $k < 20; $k++) {
        $frames = Frames::stream($card, 70);
        $bytes = implode('', $frames);
        $whole = framed($card, $bytes, fn (): int => strlen($bytes));
        $pieces = framed($card, $bytes, fn (): int => mt_rand(1, 40));
        $layout = new FrameLayout($card);
        expect($whole->frames)->toHaveCount(70)->and($pieces->frames)->toBe($whole->frames)->and($whole->bad)->toBe(0)
            ->and(array_map($layout->counts(...), $whole->frames))->toBe(array_map(fn (string $wire): array => (new Linguator\Core\Tests\FrameReader($card))->read($wire)->counts, $frames));
    }
})->with(fn () => Frames::cards());

/** One frame of these, spoilt: a byte changed, taken out, or some put in. */
function spoilt(string $frame): string
{
    $at = mt_rand(0, strlen($frame) - 1);

    return match (mt_rand(0, 2)) {
        0 => substr_replace($frame, chr(ord($frame[$at]) ^ mt_rand(1, 255)), $at, 1),
        1 => substr_replace($frame, '', $at, 1),
        default => substr_replace($frame, implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, mt_rand(1, 9)))), $at, 0),
    };
}

it('loses no more than the damaged frame and one more to damaged bytes', function (FormatCard $card) {
    mt_srand(22);
    // Without header, channel numbers and times an eight-bit check is all there is to find the way again, and holds by chance: with times below.
    $isTimed = $card->silenceMs !== null && ! (new FrameLayout($card))->bits->isTagged();
    for ($k = 0; $k < 150; $k++) {
        $frames = Frames::stream($card, 80);
        $at = mt_rand(5, 70);
        $damaged = $frames;
        $damaged[$at] = spoilt($frames[$at]);
        $found = $isTimed ? timed($card, $damaged) : framed($card, implode('', $damaged), fn (): int => mt_rand(1, 300))->frames;
        $sound = $isTimed ? timed($card, $frames) : framed($card, implode('', $frames), fn (): int => 300)->frames;
        expect($sound)->toHaveCount(80);
        unset($sound[$at]);
        // In a format without a check damage may pass for a value: it is the frames beside it that must stand.
        expect(count(array_intersect(array_unique($sound), $found)))->toBeGreaterThanOrEqual(count(array_unique($sound)) - 1);
    }
})->with(fn () => Frames::cards());

it('turns bytes into changes and back on any line, its clock two in a hundred off', function (string $parity, int $stopBits, bool $isInverted) {
    mt_srand(23);
    for ($k = 0; $k < 60; $k++) {
        $bit = 1e6 / mt_rand(9600, 921600);
        $writer = new UartWriter(new LineSetting($bit * mt_rand(980, 1020) / 1000, $parity, $stopBits, $isInverted));
        $reader = new UartReader(new LineSetting($bit, $parity, $stopBits, $isInverted));
        [$sent, $read, $us] = ['', '', 100.0];
        for ($burst = 0; $burst < 6; $burst++) {
            $bytes = Seeded::bytes(mt_rand(1, 60));
            $edges = $writer->write($bytes, $us);
            $us = $edges->times[count($edges->times) - 1] + mt_rand(15, 3000) * $bit;
            $sent .= $bytes;
            $cut = mt_rand(0, count($edges->times));
            $read .= $reader->push(new Edges($edges->level, array_slice($edges->times, 0, $cut)))->bytes;
            $read .= $reader->push(new Edges($edges->level ^ $cut & 1, array_slice($edges->times, $cut)))->bytes;
        }
        expect(bin2hex($read.$reader->finish()->bytes))->toBe(bin2hex($sent))->and($reader->parityErrors + $reader->stopErrors)->toBe(0);
    }
})->with(['none', 'even', 'odd'])->with([1, 2])->with([false, true]);

it('turns channel values into a train and back', function (int $separator) {
    mt_srand(24);
    for ($k = 0; $k < 60; $k++) {
        $channels = mt_rand(4, 12);
        $writer = new PulseWriter($separator);
        $reader = new TrainReader($separator, $channels);
        [$keeper, $sent, $us] = [new Keeper, [], 500.0];
        for ($frame = 0; $frame < 10; $frame++) {
            $values = array_map(fn (): float => mt_rand(900_000, 2_100_000) / 1000, range(1, $channels));
            $sent[] = array_combine(range(1, $channels), array_map(fn (float $value): int => (int) round($value * 1000), $values));
            $reader->push($writer->train($values, $us), $keeper);
            $us += array_sum($values) + max(3100, max($values) + 600);
        }
        $reader->finish($keeper);
        expect($keeper->widths)->toBe($sent)->and($keeper->bad)->toBe(0);
    }
})->with([0, 1]);

it('answers or refuses ten thousand spoilt captures of every kind, in little memory', function () {
    mt_srand(25);
    $captures = [];
    foreach (['s100i', 's420c', 's115u', 's115t', 's115e', 's115f', 'ppm', 'pwm'] as $format) {
        foreach (CaptureKind::cases() as $kind) {
            try {
                $captures[] = implode('', iterator_to_array(Recording::of(StandInOptions::of((object) ['format' => $format, 'seconds' => 0.12], new Schemas), $kind), false));
            } catch (DocumentError) {
                continue;
            }
        }
    }
    $captures[] = "t_ms,ch1,ch2\n".implode("\n", array_map(fn (int $k): string => 20 * $k.','.(1500 + $k).',1000', range(0, 60)));
    expect($captures)->toHaveCount(31);
    $spoil = [
        fn (string $text, int $at): string => substr_replace($text, chr(mt_rand(0, 255)), $at, 1),
        fn (string $text, int $at): string => substr_replace($text, Seeded::bytes(mt_rand(1, 40)), $at, mt_rand(0, 40)),
        fn (string $text, int $at): string => substr($text, 0, $at),
        fn (string $text, int $at): string => substr($text, $at),
        fn (string $text, int $at): string => substr_replace($text, substr($text, mt_rand(0, strlen($text) - 1), mt_rand(1, 200)), $at, 0),
        fn (string $text, int $at): string => substr_replace($text, (string) mt_rand(), $at, mt_rand(0, 3)),
        fn (string $text, int $at): string => substr_replace($text, ["\n", ',', ';', "\0", '-', '.', 'e99', '#', '$', "\xEF\xBB\xBF", 'nan', '1!'][mt_rand(0, 11)], $at, 1),
        fn (string $text, int $at): string => substr($text, 0, $at).$captures[mt_rand(0, 30)],
    ];
    [$answered, $refused, $schemas] = [0, 0, new Schemas];
    memory_reset_peak_usage();
    $before = memory_get_usage();
    for ($k = 0; $k < 10_000; $k++) {
        $text = $captures[$k % 31];
        for ($times = mt_rand(1, 4); $times > 0 && $text !== ''; $times--) {
            $text = $spoil[mt_rand(0, 7)]($text, mt_rand(0, strlen($text) - 1));
        }
        try {
            Json::compact((new Verbs($schemas, new Services(Formats::shipped(), Source::ofText($text))))->ask(Verbs::DECODE, (object) ['frames' => 3]));
            $answered++;
        } catch (DocumentError $error) {
            expect($error->getMessage())->not->toBe('');
            $refused++;
        }
    }
    expect($answered)->toBeGreaterThan(6000)->and($refused)->toBeGreaterThan(50)
        ->and(memory_get_peak_usage() - $before)->toBeLessThan(32 * 1024 * 1024);
});
