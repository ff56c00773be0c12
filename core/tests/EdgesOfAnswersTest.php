<?php

declare(strict_types=1);

use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\WavReader;
use Linguator\Core\Channel\Assignment;
use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Functions;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Format\Check;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Framers;
use Linguator\Core\Format\OtherFrame;
use Linguator\Core\Format\Part;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\UartReader;
use Linguator\Core\Line\UartWriter;
use Linguator\Core\Signal\DecodeOptions;
use Linguator\Core\Signal\Decoder;
use Linguator\Core\Signal\DeskView;
use Linguator\Core\Signal\Reencoder;
use Linguator\Core\Signal\UnknownFrame;
use Linguator\Core\Signal\ValueRow;
use Linguator\Core\Signal\ValueRows;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;
use Linguator\Core\Tests\Decode;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Tests\Keeper;
use Linguator\Core\Timing\Resolution;
use Linguator\Core\Timing\StageLevels;

/** What a stand-in sends, as text. */
function sentBy(array $options, string $kind): string
{
    return implode('', iterator_to_array(Recording::of(StandInOptions::of((object) $options, new Schemas), CaptureKind::from($kind)), false));
}

function answerOf(string $capture, array $options = []): array
{
    return json_decode((string) json_encode(Decode::answer(Source::ofText($capture), (object) $options)), true);
}

it('orders what was found by how bad it is', function () {
    $all = Severity::cases();
    shuffle($all);
    usort($all, fn (Severity $a, Severity $b): int => $a->weight() <=> $b->weight());
    expect(array_column($all, 'value'))->toBe(['ok', 'note', 'check', 'fix', 'stop'])->and(count(array_unique(array_map(fn (Severity $one): int => $one->weight(), $all))))->toBe(5);
});

it('tells times of frames, flags and bad places in ms, from µs in the capture', function () {
    $text = sentBy(['format' => 's115f', 'seconds' => 1, 'failsafe_after_s' => 0.5, 'damaged' => 0.05, 'seed' => 5], 'csv');
    $answer = answerOf($text, ['frames' => 3]);
    $period = $answer['period_ms']['mean'];
    expect($answer['first_frames'])->toHaveCount(3)->and($answer['first_frames'][2]['t_ms'] - $answer['first_frames'][1]['t_ms'])->toEqualWithDelta($period, 0.5 * $period);
    $flag = array_values(array_filter($answer['flag_times'], fn (array $one): bool => $one['flag'] === 'failsafe'))[0];
    expect($flag['from_ms'])->toEqualWithDelta(500, 30)->and($flag['to_ms'])->toBeGreaterThan($flag['from_ms'])->toBeLessThan(1100);
    expect($answer['bad_frames'])->not->toBe([])->and(array_column($answer['bad_frames'], 't_ms'))->each->toBeLessThan(1100)->and(max(array_column($answer['bad_frames'], 't_ms')))->toBeGreaterThan(50);
    $desk = Plain::object(new DeskView((new Decoder(FormatCards::all()))->decode(Source::ofText($text), new DecodeOptions)));
    expect(end($desk['spans'])['t_ms'])->toBeGreaterThan(800)->toBeLessThan(1100)->and($desk['median_ms'])->toEqualWithDelta($period, 1)->and($desk['late_above_ms'])->toEqualWithDelta(1.5 * $desk['median_ms'], 1e-6)
        ->and($desk['ends_us'])->toBeGreaterThan(900_000)->toBeLessThan(1_200_000);
});

it('lasts as long as the values do', function () {
    $rows = new ValueRows([new ValueRow(100, [1 => 1500.0]), new ValueRow(600, [1 => 1500.0])]);
    expect((new Reencoder(null))->lastsUs($rows))->toBe(526_000.0)->and((new Reencoder(null))->lastsUs(new ValueRows([])))->toBe(0.0);
});

it('says in the sentence of a parity fault which parity was asked for and what to set', function (string $card, string $read, string $message, string $change) {
    $text = sentBy(['format' => $card, 'seconds' => 0.5], 'csv');
    $document = json_decode((string) json_encode(FormatCards::get($card) === null ? null : Linguator\Core\Format\FormatCardText::value(FormatCards::text($card))));
    $document->line->parity = $read;
    $document->id = 'other';
    $answer = answerOf($text, ['card' => $document]);
    $finding = array_values(array_filter($answer['findings'], fn (array $one): bool => $one['code'] === 'parity_mismatch'))[0];
    expect($finding['message'])->toBe($message)->and($finding['change'])->toEndWith($change)->and($finding['expected'])->toBe($read === 'none' ? 'no parity bit' : "$read parity");
})->with([
    'a parity bit that nobody asked for' => ['s100i', 'none', 'The bytes carry a parity bit that the format does not have.', '8N2.'],
    'the other parity' => ['s100i', 'odd', 'The parity of most bytes is not odd.', '8O2.'],
]);

it('reads numbers below zero where a byte says decibels', function (int $byte, string $unit, int $value) {
    $other = OtherFrame::of(new Node((object) ['type' => '14', 'name' => 'link', 'fields' => [(object) ['name' => 'x', 'unit' => $unit]]]));
    expect($other->read(chr($byte).'more')[0])->toBe(['name' => 'x', 'value' => $value, 'unit' => ltrim($unit, '-')]);
})->with([[127, 'dB', 127], [128, 'dB', -128], [255, 'dB', -1], [90, '-dBm', -90], [200, '%', 200]]);

it('names the stage with the fewest steps as the one that governs', function () {
    $stages = [new StageLevels('handset', 1024), new StageLevels('air', 512), new StageLevels('wire', 2048)];
    $coarsest = (new Resolution($stages, 1024.0))->coarsest();
    expect([$coarsest->name, $coarsest->levels, $coarsest->stepUs, $coarsest->sharePct])->toBe(['air', 512, 2.0, 0.195])
        ->and((new Resolution([], 1000.0))->coarsest())->toBeNull()
        ->and(array_map(fn ($step): string => $step->name, (new Resolution($stages, 1024.0))->steps()))->toBe(['handset', 'air', 'wire']);
});

it('uses the last channel there is, and says when there is none left', function (int $channels, ?array $moves) {
    $functions = Functions::of(new FunctionChannel('arm', 5), new FunctionChannel('mode', 5));
    expect(Plain::of((new Assignment($functions, [], $channels))->moves()))->toBe($moves);
})->with([[6, [['function' => 'mode', 'from' => 5, 'to' => 6]]], [5, null]]);

it('knows what a frame nobody knows ends in, at every length it can have', function (int $size) {
    mt_srand(71);
    $bytes = '';
    for ($k = 0; $k < 60; $k++) {
        $body = '';
        for ($j = 0; $j < $size - 2; $j++) {
            // As in a real frame: some bytes move, most of them rest.
            $body .= chr($j % 6 === 2 ? mt_rand(0, 255) : 40 + $j);
        }
        $bytes .= "\xA7".$body.chr(array_sum(array_map(ord(...), str_split($body))) & 0xFF);
    }
    $frame = UnknownFrame::in($bytes);
    expect($frame?->size)->toBe($size)->and(bin2hex((string) $frame?->header))->toBe('a7')->and($frame?->check?->node->text('check'))->toBe('sum8')->and($frame?->check?->node->int('from'))->toBe(1);
})->with([8, 13, 24, 33]);

it('finds no frame in noise, and none in silence', function () {
    mt_srand(72);
    $noise = implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, 3000)));
    expect(UnknownFrame::in($noise))->toBeNull()->and(UnknownFrame::in(''))->toBeNull()->and(UnknownFrame::in('abc'))->toBeNull();
});

it('counts sound frames of a run to the first that is not', function (array $check, int $spoilt) {
    $part = new Part(new Node((object) $check));
    $one = Check::of($part);
    $run = '';
    for ($k = 0; $k < 5; $k++) {
        $body = chr(0x50 + $k).str_repeat(chr($k), 9);
        $run .= $body.$one->bytes(substr($body, 1));
    }
    $size = intdiv(strlen($run), 5);
    expect($one->sound($run, $size, 1, 10))->toBe(5)->and($one->sound(substr($run, 0, -1), $size, 1, 10))->toBe(4);
    $run[$spoilt * $size + 3] = chr(ord($run[$spoilt * $size + 3]) ^ 1);
    expect($one->sound($run, $size, 1, 10))->toBe($spoilt);
})->with([
    'a sum' => [['check' => 'sum8', 'from' => 1]],
    'a CRC of eight bits' => [['check' => 'crc8', 'poly' => 0xD5, 'from' => 1]],
    'a CRC of sixteen' => [['check' => 'crc16', 'poly' => 0x1021, 'order' => 'big', 'from' => 1]],
])->with([0, 2, 4]);

it('reports what is left of an escaped frame at the end, once', function (string $tail, int $bad) {
    $card = FormatCard::of(Frames::ownCard(), new Schemas);
    $keeper = new Keeper;
    $framer = Framers::for($card);
    $bytes = implode('', Frames::stream($card, 4));
    $framer->push(new TimedBytes($bytes.$tail), $keeper);
    $framer->finish($keeper);
    expect($keeper->frames)->toHaveCount(4)->and($keeper->bad)->toBe($bad);
})->with(['nothing' => ['', 0], 'a begin: the capture was cut there' => ["\x02\x11\x12", 0], 'more than a frame of noise' => [str_repeat("\x11", 30), 2]]);

it('refuses a recording that is none, and says what it found', function (Closure $spoil, string $code) {
    $sound = "RIFF\0\0\0\0WAVEfmt ".pack('V', 16).pack('vvVVvv', 1, 1, 48_000, 48_000, 1, 8).'data'.pack('V', 4).'abcd';
    expect(fn () => new WavReader(Source::ofText($spoil($sound))))->toThrow(fn (DocumentError $error) => expect($error->errorCode)->toBe($code));
    expect((new WavReader(Source::ofText($sound)))->wires())->toHaveCount(1);
})->with([
    'cut before its format' => [fn (string $wav): string => substr($wav, 0, 20), 'truncated'],
    'cut inside its format' => [fn (string $wav): string => substr($wav, 0, 30), 'truncated'],
    'without samples' => [fn (string $wav): string => substr($wav, 0, 36), 'truncated'],
    'three sides' => [fn (string $wav): string => substr_replace($wav, pack('v', 3), 22, 2), 'not_pcm'],
    'no side' => [fn (string $wav): string => substr_replace($wav, pack('v', 0), 22, 2), 'not_pcm'],
    'twelve bits' => [fn (string $wav): string => substr_replace($wav, pack('v', 12), 34, 2), 'not_pcm'],
    'floating point' => [fn (string $wav): string => substr_replace($wav, pack('v', 3), 20, 2), 'not_pcm'],
    'no rate' => [fn (string $wav): string => substr_replace($wav, pack('V', 0), 24, 4), 'not_pcm'],
]);

it('reads a byte that the wire idles out of, and begins none at a glitch', function () {
    $line = new LineSetting(10.0, 'none', 1, false);
    $edges = (new UartWriter($line))->write("\xFF\x00", 1000.0);
    $reader = new UartReader($line);
    $read = $reader->push($edges)->bytes.$reader->finish()->bytes;
    expect(bin2hex($read))->toBe('ff00')->and($reader->finish()->bytes)->toBe('');
    $glitch = new UartReader($line);
    expect($glitch->push(new Edges(0, [100.0, 104.0]))->bytes.$glitch->finish()->bytes)->toBe('')->and($glitch->stopErrors)->toBe(0);
});

it('says of a relay which link is lost and what is then to be watched', function () {
    $review = DemoRigs::review(DemoRigs::get('oystercatcher'))['failsafe'];
    foreach ($review['hops'] as $hop) {
        expect($hop['tests'][0]['do'])->not->toBe('')->and($hop['tests'][0]['see'])->not->toBe('')->and($hop['tests'][0]['safety'])->toContain('clear');
    }
});

it('gives stored values of the throttle in percent of its stick', function (float $us, string $share) {
    $rig = DemoRigs::get('dunlin');
    $document = json_decode((string) json_encode($rig->document));
    $document->settings->failsafe = [(object) ['hop' => 1, 'mode' => 'stored', 'stored_us' => [1500, 1500, $us, 1500]]];
    $document->settings->channels = [(object) ['channel' => 3, 'ends_us' => [1000, 1500, 2000]]];
    $hop = DemoRigs::review(Linguator\Core\Rig\RigDocument::of($document))['failsafe']['hops'][0];
    expect($hop['because'])->toContain("$us µs is stored for the throttle, $share of its stick");
})->with([[1000.0, '0 %'], [1250.0, '25 %'], [2000.0, '100 %']]);
