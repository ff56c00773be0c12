<?php

declare(strict_types=1);

/*
 * Makes demo/captures with the product's own encoder; some are damaged on purpose. Run by hand when a format or a stand-in changes:
 *
 *   php demo/captures.php
 */

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Encoder;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Frame;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;

require __DIR__.'/../vendor/autoload.php';

function standIn(string $file, array $options): void
{
    $chunks = Recording::of(StandInOptions::of((object) $options, new Schemas), CaptureKind::from(pathinfo($file, PATHINFO_EXTENSION)));
    file_put_contents(__DIR__."/captures/$file", implode('', iterator_to_array($chunks, false)));
}

/** The throttle stick is moved first, then rudder, elevator and aileron, each out to both ends and back; Avocet's throttle does not come below 1085. */
function movementUs(int $ms): array
{
    $us = [1500.0, 1500.0, 1085.0, 1500.0, 1000.0, 1500.0, 1500.0, 1500.0];
    foreach ([2, 3, 1, 0] as $turn => $channel) {
        $at = ($ms - 600 - 2600 * $turn) / 2000;
        if ($at > 0 && $at < 1) {
            $us[$channel] = $channel === 2 ? 1085 + 927 * sin(M_PI * $at) ** 2 : 1500 + 512 * sin(2 * M_PI * $at);
        }
    }

    return array_map(static fn (float $value): float => round($value, 1), $us);
}

$log = "t_ms,ch1,ch2,ch3,ch4,ch5,ch6,ch7,ch8\n";
for ($ms = 0; $ms <= 11_400; $ms += 40) {
    $log .= $ms.','.implode(',', movementUs($ms))."\n";
}
file_put_contents(__DIR__.'/captures/avocet-sticks.csv', $log);

standIn('dunlin-serial.csv', ['format' => 's100i', 'seconds' => 1.2, 'jitter_us' => 120]);
standIn('dunlin-wrong-way-up.vcd', ['format' => 's420c', 'seconds' => 0.3, 'inverted' => true]);
standIn('dunlin-damaged.bin', ['format' => 's115u', 'seconds' => 5, 'damaged' => 0.03, 'dropped' => 0.02]);
standIn('mudlark-train.csv', ['format' => 'ppm', 'seconds' => 3, 'period_ms' => 15.5, 'channels' => 8]);
standIn('mudlark-train.wav', ['format' => 'ppm', 'seconds' => 2, 'channels' => 6]);
standIn('oystercatcher-link-cut.hex', ['format' => 's100i', 'seconds' => 3, 'failsafe_after_s' => 1.6]);
standIn('oystercatcher-framed.bin', ['format' => 's115f', 'seconds' => 3]);
standIn('sanderling-tagged.hex', ['format' => 's115t', 'seconds' => 3]);
standIn('avocet-eighths.bin', ['format' => 's115e', 'seconds' => 3, 'channels' => 12]);
standIn('avocet-servo.csv', ['format' => 'pwm', 'seconds' => 6]);

/** Both sides of a converter on two wires: 18 ms later, throttle and aileron changed over, at four fifths of the travel. */
function converter(): string
{
    $sides = [['s420c', 0, 4.0], ['s100i', 18_000, 14.0]];
    $changes = [];
    foreach ($sides as $wire => [$id, $laterUs, $periodMs]) {
        $card = FormatCards::get($id);
        $encoder = new Encoder($card);
        $writer = new UartWriter(LineSetting::of($card));
        for ($k = 0; $k * $periodMs < 900; $k++) {
            $seconds = $k * $periodMs / 1000 - $laterUs / 1e6;
            $us = array_fill(0, 16, 1500.0);
            [$us[0], $us[1], $us[2]] = [1500 + 400 * sin(9 * $seconds), 1500 + 300 * sin(13 * $seconds + 1), 1500 + 350 * sin(6 * $seconds + 2)];
            if ($wire === 1) {
                [$us[0], $us[2]] = [1500 + 0.8 * ($us[2] - 1500), 1500 + 0.8 * ($us[0] - 1500)];
                $us[1] = 1500 + 0.8 * ($us[1] - 1500);
            }
            $edges = $writer->write($encoder->encode(new Frame(array_combine(range(1, 16), array_map($card->scale->count(...), $us)))), 4000 + $k * $periodMs * 1000);
            foreach ($edges->times as $n => $at) {
                $changes[] = [(int) round($at * 1000), ($edges->level ^ $n & 1).'!"'[$wire]];
            }
        }
    }
    usort($changes, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
    $dump = "\$timescale 1 ns \$end\n\$var wire 1 ! before \$end\n\$var wire 1 \" after \$end\n\$enddefinitions \$end\n#0\n1!\n0\"\n";
    foreach ($changes as [$at, $change]) {
        $dump .= "#$at\n$change\n";
    }

    return $dump;
}

file_put_contents(__DIR__.'/captures/converter-two-wires.vcd', converter());
