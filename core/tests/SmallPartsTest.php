<?php

declare(strict_types=1);

use Linguator\Core\Bind\Attempt;
use Linguator\Core\Bind\Candidates;
use Linguator\Core\Bind\Chances;
use Linguator\Core\Bind\Rung;
use Linguator\Core\Capture\CsvLayout;
use Linguator\Core\Capture\Damage;
use Linguator\Core\Capture\Source;
use Linguator\Core\Capture\VcdReader;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Failsafe\StoredUs;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameRun;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\Stays;
use Linguator\Core\Line\TrainReader;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Signal\Block;
use Linguator\Core\Signal\Bounds;
use Linguator\Core\Signal\ChannelMatch;
use Linguator\Core\Signal\ChannelSummary;
use Linguator\Core\Signal\Course;
use Linguator\Core\Signal\Fit;
use Linguator\Core\Signal\FlagTally;
use Linguator\Core\Signal\Span;
use Linguator\Core\Signal\ValueRow;
use Linguator\Core\Signal\ValueRows;
use Linguator\Core\Supply\Device;
use Linguator\Core\Supply\Pack;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\SupplyLoad;
use Linguator\Core\Supply\SupplyRange;
use Linguator\Core\Tests\Frames;
use Linguator\Core\Tests\Keeper;
use Linguator\Core\Verb\Verbs;

function finding(Severity $severity, Code $code = Code::T1): Finding
{
    return new Finding($code, $severity, $severity->value);
}

it('makes objects plain by their own names, and leaves an empty map a map', function () {
    $object = new class
    {
        public int $throwUs = 5;

        public float $p95 = 1.5;

        public string $secondOne = 'x';

        public ?Severity $severity = Severity::Stop;

        public array $list = [Severity::Ok, ['k' => Severity::Fix]];

        private int $hidden = 7;

        public function hidden(): int
        {
            return $this->hidden;
        }
    };
    expect(Plain::of($object))->toBe(['throw_us' => 5, 'p95' => 1.5, 'second_one' => 'x', 'severity' => 'stop', 'list' => ['ok', ['k' => 'fix']]])
        ->and(Plain::of((object) []))->toEqual(new stdClass)
        ->and(Plain::of((object) ['a' => Severity::Note]))->toEqual((object) ['a' => 'note'])
        ->and(Plain::of(finding(Severity::Fix)))->toBe(['code' => 'T1', 'severity' => 'fix', 'message' => 'fix'])
        ->and(Plain::object((object) ['7' => Severity::Note]))->toBe(['7' => 'note'])
        ->and(Plain::of([1, 'two', null, 3.5, true]))->toBe([1, 'two', null, 3.5, true]);
});

it('puts findings together in order, and counts and finds them by how bad they are', function () {
    $none = Findings::none();
    $one = Findings::of(null, finding(Severity::Note), null);
    expect($none->and(null, $none))->toBe($none)->and($one)->toHaveCount(1)->and($one->and($one, finding(Severity::Fix), null))->toHaveCount(3);
    $all = Findings::of(finding(Severity::Note), finding(Severity::Fix, Code::T2), finding(Severity::Stop, Code::T3), finding(Severity::Fix, Code::T4));
    expect($all->countOf(Severity::Fix))->toBe(2)->and($all->countOf(Severity::Fix, Severity::Stop))->toBe(3)->and($all->countOf(Severity::Check))->toBe(0)
        ->and($all->first(Severity::Fix)?->code)->toBe(Code::T2)->and($all->first(Severity::Check))->toBeNull()
        ->and($all->toMend()?->code)->toBe(Code::T3)->and($all->without(Code::T3)->toMend()?->code)->toBe(Code::T2)->and($one->toMend())->toBeNull()
        ->and($all->has(Severity::Stop))->toBeTrue()->and($one->has(Severity::Stop))->toBeFalse()
        ->and($all->only(Code::T2, Code::T4))->toHaveCount(2)->and($none->isEmpty())->toBeTrue()->and($all->isEmpty())->toBeFalse();
});

it('tells times in µs as ms without dust, and leaves open what is not known', function () {
    expect(Steps::msOf(1234.5))->toBe(1.2345)->and(Steps::msOf(0.1 + 0.2))->toBe(0.0003)->and(Steps::msOf(null))->toBeNull();
});

it('cuts a run of frames anywhere, and keeps place and time of each', function () {
    $run = new FrameRun('aabbccdd', 2, 100, [1.0, 2.0, 3.0, 4.0]);
    expect($run->count())->toBe(4)->and($run->frames())->toBe(['aa', 'bb', 'cc', 'dd'])->and($run->frame(3))->toBe('dd')
        ->and($run->us(2))->toBe(3.0)->and($run->us(4))->toBeNull();
    $part = $run->part(1, 3);
    expect([$part->bytes, $part->size, $part->offset, $part->times])->toBe(['bbcc', 2, 102, [2.0, 3.0]]);
    expect((new FrameRun('aabb', 2, 0))->part(1, 2)->times)->toBe([]);
    $joined = TimedBytes::join(new TimedBytes('ab', [1.0, 2.0]), new TimedBytes(''), new TimedBytes('c', [3.0]));
    expect([$joined->bytes, $joined->times])->toBe(['abc', [1.0, 2.0, 3.0]]);
});

it('finds lowest and highest of any part of a block as looking at every value does', function () {
    mt_srand(61);
    for ($turn = 0; $turn < 60; $turn++) {
        $frames = mt_rand(1, 20);
        [$whole, $some] = [[], []];
        for ($k = 0; $k < $frames; $k++) {
            $whole[$k] = mt_rand(0, 2047);
            if (mt_rand(0, 2) > 0) {
                $some[$k] = mt_rand(0, 2047);
            }
        }
        $block = new Block([1 => $whole, 2 => $some], $frames);
        $from = mt_rand(0, $frames - 1);
        $length = mt_rand(1, $frames - $from);
        $bounds = $block->bounds($from, $length);
        $inside = fn (array $column): array => array_filter($column, fn (int $k): bool => $k >= $from && $k < $from + $length, ARRAY_FILTER_USE_KEY);
        expect($bounds->low[1])->toBe(min($inside($whole)))->and($bounds->high[1])->toBe(max($inside($whole)));
        expect($bounds->low[2] ?? null)->toBe($inside($some) === [] ? null : min($inside($some)));
    }
});

it('joins spans: the wider bounds, the longer gap, the earlier begin', function () {
    $left = new Span(0, 10.0, null, new Bounds([1 => 5], [1 => 9]));
    $right = new Span(4, 50.0, 20.0, new Bounds([1 => 7, 2 => 1], [1 => 12, 2 => 3]));
    $both = $left->with($right);
    expect([$both->frame, $both->us, $both->gapUs, $both->bounds->low, $both->bounds->high])->toBe([0, 10.0, 20.0, [1 => 5, 2 => 1], [1 => 12, 2 => 3]])
        ->and($both->with(new Span(8, 90.0, 15.0, new Bounds([], [])))->gapUs)->toBe(20.0)
        ->and($left->with($left)->gapUs)->toBeNull();
});

it('counts a flag in every frame, and tells only so many stretches', function () {
    $flags = new FlagTally(['failsafe' => 3, 'frame_lost' => 2]);
    for ($k = 0; $k < 450; $k++) {
        $flags->add($k % 2 === 0 ? 1 << 3 : 0, 1000.0 * $k);
    }
    expect($flags->count('failsafe'))->toBe(225)->and($flags->stretches())->toHaveCount(200)->and($flags->count('frame_lost'))->toBe(0)->and($flags->first('frame_lost'))->toBeNull();
    $run = new FlagTally(['failsafe' => 3]);
    $run->addRun("\0\0\x08\x08\x08\0", [0.0, 1e3, 2e3, 3e3, 4e3, 5e3]);
    $run->addRun("\0\0", []);
    $run->addRun("\x08", []);
    expect(Plain::of($run->stretches()))->toEqual([
        ['flag' => 'failsafe', 'from_frame' => 2, 'frames' => 3, 'from_ms' => 2.0, 'to_ms' => 4.0],
        ['flag' => 'failsafe', 'from_frame' => 8, 'frames' => 1, 'from_ms' => null, 'to_ms' => null],
    ])->and($run->first('failsafe')?->fromFrame)->toBe(2);
});

it('calls a channel still, or moved from end to end, by what it travels', function (float $travel, bool $isStill, bool $isWhole) {
    $summary = new ChannelSummary(1, 1200.0, 1300.0, 1200.0 + $travel, 1200.0, null);
    expect($summary->isStill())->toBe($isStill)->and($summary->isMovedAllTheWay())->toBe($isWhole);
})->with([[0, true, false], [2, true, false], [2.1, false, false], [599.9, false, false], [600, false, true]]);

it('lays values on even steps, the last one held', function () {
    $rows = new ValueRows([new ValueRow(0, [1 => 1500.0]), new ValueRow(40, [1 => 1600.0, 2 => 1000.0]), new ValueRow(100, [1 => 1700.0, 2 => 1000.0])]);
    expect($rows->channels())->toBe([1, 2])->and($rows->of(2))->toBe([1000.0, 1000.0])->and($rows->moved())->toBe([1])
        ->and($rows->beginMs())->toBe(0.0)->and($rows->lastMs())->toBe(100.0)->and((new ValueRows([]))->lastMs())->toBe(0.0)->and((new ValueRows([]))->channels())->toBe([]);
});

it('fits one course on another: scale and shift exact, and nothing where they hardly overlap', function () {
    $wave = fn (float $scale, float $shift, float $late): ValueRows => new ValueRows(array_map(
        fn (int $k): ValueRow => new ValueRow(20.0 * $k, [1 => 1500 + $shift + $scale * 200 * sin(($k * 20 - $late) / 90)]), range(0, 200)));
    $course = fn (ValueRows $rows): Course => Course::of($rows, 1, 20.0);
    $fit = $course($wave(1, 0, 0))->fit($course($wave(-0.5, 30, 0)), 0);
    expect($fit->correlation)->toEqualWithDelta(-1.0, 1e-9)->and($fit->scale)->toEqualWithDelta(-0.5, 1e-9)->and($fit->shiftUs)->toEqualWithDelta(30.0, 1e-6)
        ->and($fit->likeness())->toEqualWithDelta(0.97, 1e-9);
    expect($course($wave(1, 0, 0))->fit($course($wave(1, 0, 60)), 3)->correlation)->toBeGreaterThan(0.999);
    $flat = new ValueRows(array_map(fn (int $k): ValueRow => new ValueRow(20.0 * $k, [1 => 1500.0]), range(0, 200)));
    expect($course($wave(1, 0, 0))->fit($course($flat), 0)->likeness())->toBe(0.0)
        ->and($course($wave(1, 0, 0))->fit($course($wave(1, 0, 0)), 150)->likeness())->toBe(0.0);
});

it('says of a matched channel where it went, and what of it differs', function () {
    $match = ChannelMatch::of(1, 3, new Fit(0.95, 1.021, 4.1));
    expect([$match->b, $match->isElsewhere(), $match->isScaled(), $match->isShifted(), $match->reversed])->toBe([3, true, true, true, false]);
    $same = ChannelMatch::of(1, 1, new Fit(0.9, 1.019, -4.0));
    expect([$same->b, $same->isElsewhere(), $same->isScaled(), $same->isShifted()])->toBe([1, false, false, false]);
    $reversed = ChannelMatch::of(2, 2, new Fit(-0.99, -1.0, 50.0));
    expect([$reversed->reversed, $reversed->isScaled(), $reversed->isShifted()])->toBe([true, false, false]);
    $lost = ChannelMatch::of(2, 4, new Fit(0.89, 1.5, 20.0));
    expect([$lost->b, $lost->scale, $lost->offsetUs, $lost->correlation])->toBe([null, null, null, 0.89])
        ->and(ChannelMatch::of(2, null, Fit::none())->correlation)->toBeNull();
});

it('finds the bit time of stays, some glitches among them, and the rests between bursts', function () {
    $stays = [];
    for ($k = 0; $k < 200; $k++) {
        array_push($stays, 8.68 * (1 + $k % 9), 0.4);
        if ($k % 20 === 19) {
            $stays[] = 9000.0;
        }
    }
    $all = Stays::of(array_slice($stays, 0, 2));
    expect($all->bit())->toBeNull()->and(Stays::of([])->shortest())->toBeNull()->and(Stays::of([])->longest())->toBe(0.0);
    $clean = Stays::of(array_values(array_filter($stays, fn (float $us): bool => $us > 1)));
    expect($clean->bit())->toEqualWithDelta(8.68, 1e-6)->and($clean->longest())->toBe(9000.0)->and($clean->between(8.68))->toBe(9000.0)->and($clean->restUs(8.68))->toBe(90_000.0)
        ->and(Stays::isRest(183.0, 8.68))->toBeTrue()->and(Stays::isRest(182.0, 8.68))->toBeFalse()->and(Stays::of([1.0, 2.0])->between(1.0))->toBe(0.0);
});

it('drops a pulse train frame whose pulses are none, whichever of them it is', function (array $channels, int $good) {
    $keeper = new Keeper;
    $reader = new TrainReader(0, count($channels));
    $us = 1000.0;
    for ($frame = 0; $frame < 3; $frame++) {
        $times = [$us, $us + 300];
        foreach ($channels as $width) {
            array_push($times, end($times) - 300 + $width, end($times) + $width);
        }
        $reader->push(new Edges(0, $times), $keeper);
        $us = end($times) + 6000;
    }
    $reader->push(new Edges(0, [$us]), $keeper);
    $reader->finish($keeper);
    expect($keeper->widths)->toHaveCount($good);
})->with([
    'all usual' => [[1000, 1500, 2000], 3],
    'one too short' => [[1000, 590, 2000], 0],
    'just long enough' => [[1000, 600, 2000], 3],
    'one too long' => [[1000, 2610, 2000], 0],
]);

it('reads a VCD whose levels are told again, and one that begins in the middle', function (string $body, array $times) {
    $head = "\$timescale 1 us \$end\n\$var wire 1 ! d \$end\n\$enddefinitions \$end\n";
    $read = [];
    foreach ((new VcdReader(Source::ofText($head.$body), new Damage))->edges(0) as $edges) {
        array_push($read, ...$edges->times);
    }
    expect($read)->toEqual($times);
})->with([
    'each level once' => ["#0\n1!\n#10\n0!\n#25\n1!\n", [10, 25]],
    'a level told twice is no change' => ["#0\n1!\n#10\n1!\n#25\n0!\n#30\n0!\n#40\n1!\n", [25, 40]],
    'pairs, then the same level again' => ["#0\n1!\n#10\n0!\n#20\n1!\n#30\n0!\n#35\n0!\n#50\n1!\n", [10, 20, 30, 50]],
    'time alone at the end' => ["#0\n1!\n#10\n0!\n#99\n", [10]],
    'the first level at once' => ["1!\n#10\n0!\n#12\n1!\n", [10, 12]],
]);

it('knows a unit of time by any word of a heading', function (string $name, ?float $us) {
    expect(CsvLayout::usPerUnit($name))->toBe($us);
})->with([['Time [s]', 1e6], ['time_us', 1.0], ['t (ms)', 1e3], ['nanoseconds', 1e-3], ['µs', 1.0], ['when', null], ['', null], ['ms of us', 1.0]]);

it('refuses a format whose escaped marks would look like marks', function (array $other, string $path) {
    expect(fn () => FormatCard::of(Frames::ownCard($other), new Schemas))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'an XOR that turns one mark into another' => [['stuffing' => ['escape' => 0x10, 'xor' => 0x12]], 'stuffing.xor'],
    'no constant at the end' => [['parts' => [['const' => '7e'], ['channels' => 'packed', 'bits' => 11], ['check' => 'crc8', 'poly' => 7, 'from' => 1]]], 'stuffing'],
    'a start of two bytes' => [['parts' => [['const' => '7e7e'], ['channels' => 'packed', 'bits' => 11], ['const' => '7e']]], 'stuffing'],
]);

it('encodes counts as they are given, digital channels too', function () {
    $answer = (new Verbs(new Schemas))->ask('encode', json_decode('{"format":"s100i","frames":[{"raw":[172,992,1811]},{"us":[987.5,1500,2011.875]}]}'));
    expect($answer['hex'][0])->toBe($answer['hex'][1]);
    $digital = (new Verbs(new Schemas))->ask('encode', json_decode('{"format":"s100i","frames":[{"raw":['.implode(',', array_fill(0, 16, 992)).',1811,172]},{"us":['.implode(',', array_fill(0, 16, 1500)).',2012,988]}]}'));
    expect($digital['hex'][0])->toBe($digital['hex'][1])->and(hexdec(substr($digital['hex'][0], 46, 2)) & 3)->toBe(1);
});

it('takes a train of one channel', function () {
    $answer = (new Verbs(new Schemas))->ask('pulse-train', json_decode('{"frame_us":20000,"channels":1,"min_us":1000,"max_us":2000}'));
    expect($answer['worst_sync_us'])->toEqual(18_000)->and($answer['verdict'])->toBe('sound');
});

it('learns from attempts: far failures rule out, close ones only doubt, and what has bound is likely', function () {
    $candidates = new Candidates(['a', 'b'], ['1-8'], []);
    $of = fn (Chances $chances): array => array_map(fn (Rung $rung): float => $rung->chance, $chances->all);
    $begin = Chances::before($candidates);
    expect(array_sum($of($begin)))->toEqualWithDelta(1.0, 1e-12);
    $far = $begin->after(new Attempt('a', '1-8', null, 2.0, false));
    expect($of($far))->toEqual([0.0, 1.0]);
    $close = $begin->after(new Attempt('a', '1-8', null, 0.3, false));
    [$a, $b] = $of($begin);
    expect($of($close)[0])->toEqualWithDelta(0.8 * $a / (0.8 * $a + $b), 1e-12);
    expect($of($far->after(new Attempt('a', '1-8', null, 2.0, true))))->toEqualWithDelta([0.9, 0.1], 1e-12)
        ->and($of($far->after(new Attempt('c', '1-8', null, 2.0, true))))->toEqualWithDelta($of($begin), 1e-12)
        ->and($of($far->after(new Attempt('b', '1-8', null, 2.0, false))))->toEqual([0.0, 0.0]);
});

it('reads stored values by channel, and knows what is not stored', function () {
    $stored = StoredUs::of(new Node((object) ['stored_us' => [1500, null, 988.5]]));
    expect($stored->at(1))->toBe(1500.0)->and($stored->at(2))->toBeNull()->and($stored->at(3))->toBe(988.5)->and($stored->at(4))->toBeNull()->and($stored->at(null))->toBeNull()
        ->and(StoredUs::of(new Node(new stdClass))->at(1))->toBeNull();
});

it('weighs a load by the share of what the supply gives', function (float $ma, ?float $supply, string $severity) {
    $load = Plain::of(new SupplyLoad($ma, $supply));
    expect($load['severity'])->toBe($severity)->and(isset($load['code']))->toBe($severity !== 'ok')->and($load['share'])->toBe($supply === null ? null : $ma / $supply);
})->with([[500.0, null, 'ok'], [699.0, 1000.0, 'ok'], [700.0, 1000.0, 'check'], [999.0, 1000.0, 'check'], [1000.0, 1000.0, 'stop']]);

it('says of every device whether it gets a voltage it takes', function () {
    $supply = Pack::fromNode(new Node((object) ['chemistry' => 'lipo', 'cells' => 2]))->supply();
    $devices = [new Device('gyro', new SupplyRange(4.0, 6.0)), new Device('receiver', new SupplyRange(4.0, 10.0)), new Device('camera', new SupplyRange(null, null))];
    $told = Plain::of((new PowerCheck($supply, $devices))->devices());
    expect(array_column($told, 'severity', 'name'))->toBe(['gyro' => 'stop', 'receiver' => 'ok', 'camera' => 'ok'])->and($told[0]['code'])->toBe('P1');
});

it('says what a patch changed: only what differs, with what stood there before', function () {
    $document = json_decode('{"settings":{"memory":4,"pack":{"cells":3}},"name":"x"}');
    $done = RigPatch::of(['settings.memory' => 5, 'name' => 'x', 'settings.new' => 1], ['settings.pack'])->apply($document);
    expect($done->before)->toEqual((object) ['settings.memory' => 4, 'settings.pack' => (object) ['cells' => 3]])
        ->and($done->after)->toEqual((object) ['settings.memory' => 5, 'settings.new' => 1])
        ->and($done->document)->toEqual(json_decode('{"settings":{"memory":5,"new":1},"name":"x"}'))
        ->and($document->settings->memory)->toBe(4)
        ->and(RigPatch::has($document, 'settings.pack'))->toBeTrue()->and(RigPatch::has($document, 'settings.pack.cells'))->toBeTrue()->and(RigPatch::has($document, 'nothing.at'))->toBeFalse()->and(RigPatch::get($document, 'nothing.at'))->toBeNull();
});
