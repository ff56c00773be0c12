<?php

declare(strict_types=1);

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderFixes;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\ReaderKind;
use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\DryBench\Altered;
use Linguator\Core\DryBench\Circuit;
use Linguator\Core\DryBench\Control;
use Linguator\Core\DryBench\Controls;
use Linguator\Core\DryBench\Craft;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\DryBench\Faults;
use Linguator\Core\DryBench\Probe;
use Linguator\Core\DryBench\Sight;
use Linguator\Core\DryBench\World;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Formats;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\ExhaustivePlayer;
use Linguator\Core\Tests\FrameReader;
use Linguator\Core\Tests\Golden;
use Linguator\Core\Tests\SimulationCase;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\HandsetTravel;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\SubtrimModel;
use Linguator\Core\Travel\TravelSolver;
use Linguator\Core\Verb\Verbs;

function simulated(array|stdClass $question): stdClass
{
    return Json::decode(Json::compact((new Verbs(new Schemas))->ask('simulate', Json::decode(Json::compact($question)))));
}

function circuit(RigDocument $rig): Circuit
{
    return Circuit::of(World::of($rig), Formats::shipped());
}

/** @return array<string, float|null> What every function gets. */
function gets(Circuit $circuit, Controls $controls, array $lost = []): array
{
    $values = (new Craft($circuit->run($controls, $lost)))->values();

    return array_combine(array_column($values, 'function'), array_column($values, 'us'));
}

/** Where the verb says that the fault lies. */
function placeRefused(string $verb, array|stdClass $question): ?string
{
    try {
        (new Verbs(new Schemas))->ask($verb, Json::decode(Json::compact($question)));
    } catch (DocumentError $error) {
        return $error->path;
    }

    return null;
}

it('shows what the independent implementation shows', function (string $verb, stdClass $case) {
    if (isset($case->out->error_path)) {
        expect(placeRefused('simulate', $case->in))->toBe($case->out->error_path);

        return;
    }
    $answer = simulated($case->in);
    (new Schemas)->check($answer, 'verbs/simulate.out.json');
    expect(SimulationCase::difference($case->out, $answer, get_object_vars($case->tolerance ?? new stdClass)))->toBeNull();
})->with(fn () => Golden::cases('simulate'));

it('says where a question cannot be meant', function (array $more, string $path) {
    expect(placeRefused('simulate', ['rig' => BenchRigs::get('dunlin')->document, ...$more]))->toBe($path);
})->with([
    'a stick beyond its end' => [['sticks' => ['A' => 101]], 'sticks.A'],
    'a stick that there is not' => [['sticks' => ['X' => 0]], 'sticks.X'],
    'a position that the switch has not' => [['switches' => ['L1' => 9]], 'switches.L1'],
    'a switch that the handset has not' => [['switches' => ['ZZ' => 1]], 'switches.ZZ'],
    'a knob as a switch' => [['switches' => ['W1' => 1]], 'switches.W1'],
    'a switch as a knob' => [['knobs' => ['L1' => 10]], 'knobs.L1'],
    'a knob beyond its end' => [['knobs' => ['W1' => -100.5]], 'knobs.W1'],
    'a hop that there is not' => [['link' => ['lost' => [1, 2]]], 'link.lost.1'],
    'a cause that there is not' => [['faults' => [['cause' => 'gremlins']]], 'faults.0.cause'],
    'a cause that this rig cannot have' => [['faults' => [['cause' => 'trim_bumped'], ['cause' => 'module_unpowered']]], 'faults.1.cause'],
    'a channel that the handset has not' => [['faults' => [['cause' => 'centre_off', 'with' => ['channel' => 31]]]], 'faults.0.cause'],
    'ten faults at once' => [['faults' => array_fill(0, 10, ['cause' => 'trim_bumped'])], 'faults'],
]);

it('says what a chain lacks before it can be run', function () {
    $rig = BenchRigs::get('dunlin')->document;
    $without = (object) [...(array) $rig, 'chain' => []];
    $unlinked = (object) [...(array) $rig, 'settings' => (object) [...(array) $rig->settings, 'links' => []]];
    $byId = (object) [...(array) $rig, 'chain' => ['ostrel-9', ...array_slice($rig->chain, 1)]];
    expect(placeRefused('simulate', ['rig' => $without]))->toBe('rig.chain')
        ->and(placeRefused('simulate', ['rig' => $unlinked]))->toBe('rig.settings.links')
        ->and(placeRefused('simulate', ['rig' => $byId]))->toBe('rig.chain.0')
        ->and(placeRefused('probe', ['rig' => $rig, 'test' => 'kick_it']))->toBe('test')
        ->and(placeRefused('probe', ['rig' => $rig, 'test' => 'module_light']))->toBe('test');
});

it('reaches with the settings that were solved the ends that were predicted', function (SubtrimModel $model) {
    mt_srand(20261129);
    $rig = Altered::card(BenchRigs::golden(1), 0, function (stdClass $card) use ($model): void {
        $card->scale = (object) [...(array) $card->scale, 'subtrim_model' => $model->value, 'step_pct' => 0.1, 'subtrim_step' => 0.1];
    });
    $travel = new HandsetTravel(150.0, 0.1, $model, 0.1);
    for ($k = 0; $k < 40; $k++) {
        $now = new ChannelSettings(mt_rand(80, 120), mt_rand(80, 120), mt_rand(-10, 10), mt_rand(0, 1) === 1);
        $seen = Gimbal::nominal($travel, new Scale(1500, 512))->predict($now);
        $target = Reading::of(1000 + mt_rand(-40, 40), 1500 + mt_rand(-10, 10), 2000 + mt_rand(-40, 40));
        $solved = (new TravelSolver($travel))->solve(Gimbal::seen($travel, $seen, $now), $target, $now, true, false);
        $set = Altered::channel($rig, 1, function (stdClass $entry) use ($solved): void {
            [$entry->lo_pct, $entry->hi_pct, $entry->subtrim, $entry->reversed] = [$solved->settings->loPct, $solved->settings->hiPct, $solved->settings->subtrim, $solved->settings->reversed];
        });
        $ends = array_map(fn (float $stick): ?float => gets(circuit($set), Controls::resting()->moved(Letter::Aileron, $stick))['aileron'], [-100.0, 0.0, 100.0]);
        sort($ends);
        // Half a count of the serial line.
        foreach ([$solved->predicted->lo, $solved->predicted->mid, $solved->predicted->hi] as $at => $us) {
            expect($ends[$at])->toEqualWithDelta($us, 0.3125 + 1e-6);
        }
    }
})->with(SubtrimModel::cases());

it('sends bytes that read back as its values', function (string $name) {
    mt_srand(crc32($name));
    $rig = BenchRigs::get($name);
    foreach (range(1, 20) as $ignored) {
        foreach (circuit($rig)->run(BenchRigs::anywhere($rig))->couplings() as $coupling) {
            $card = FormatCards::get($coupling->via);
            expect($coupling->hex === null)->toBe($card === null);
            if ($card !== null) {
                $frame = (new FrameReader($card))->read((string) hex2bin((string) $coupling->hex));
                expect(array_slice(array_values($frame->counts), 0, count($coupling->raw)))->toBe($coupling->raw)
                    ->and(array_map($card->scale->us(...), $coupling->raw))->toBe($coupling->us);
            }
        }
    }
})->with(fn () => array_values(array_filter(BenchRigs::names(), fn (string $name): bool => $name < '02' || in_array($name, ['dunlin', 'oystercatcher', '15-long-range-on-a-cable'], true))));

it('loses a link as failsafe says that it is lost', function (string $name) {
    $rig = BenchRigs::get($name);
    $controls = Controls::resting()->moved(Letter::Throttle, -40.0)->moved(Letter::Aileron, 30.0)->moved(Letter::Elevator, 30.0)->moved(Letter::Rudder, 30.0);
    foreach ((new FailsafeReview($rig))->hops as $hop) {
        $circuit = circuit($rig);
        [$was, $run] = [gets($circuit, $controls), $circuit->run($controls, [$hop->number])];
        $is = gets($circuit, $controls, [$hop->number]);
        $reader = $run->into(count($rig->boxes) - 1);
        $low = gets($circuit, $rig->motorOffAtCentre() ? Controls::resting()->moved(Letter::Throttle, 0.0) : Controls::resting())['throttle'] ?? null;
        match ($hop->outcome()) {
            Outcome::HoldsLast => expect($is)->toBe($was),
            Outcome::PulsesStop => expect(array_filter($is, is_float(...)))->toBe([]),
            Outcome::ControllerFailsafe => expect(array_filter($is, is_float(...)) === [] || $reader->isFlagged)->toBeTrue(),
            Outcome::MotorOffNeutral => $low === null ? expect($is['throttle'] ?? null)->toBeNull() : expect($is['throttle'])->toEqualWithDelta($low, 60.0),
            Outcome::MotorRuns, Outcome::FullThrottle => expect(abs($is['throttle'] - $low))->toBeGreaterThan(50.0),
            Outcome::ReturnHome => expect(array_filter((new Craft($run))->controller($controls)->windows, fn ($window): bool => $window->name === 'return' && $window->inside))->not->toBe([]),
            // Nobody can say, so nothing is promised.
            Outcome::Unknown => null,
        };
    }
    expect((new FailsafeReview($rig))->hops)->not->toBe([]);
})->with(fn () => BenchRigs::names());

it('moves the right thing once any fix of the order is made', function () {
    $rig = BenchRigs::golden(1);
    foreach (ChannelOrder::all() as $handset) {
        foreach (['AETR', 'TAER', 'RETA'] as $reader) {
            $wrong = Altered::setting(Altered::setting($rig, 'order', $handset->toString()), 'controller_order', $reader);
            $fixes = array_filter(OrderFixes::for(new OrderTrace($handset, ChannelOrder::of($reader)), ReaderKind::Controller, null), fn ($fix): bool => $fix->order !== null);
            expect($fixes === [])->toBe($handset->toString() === $reader);
            foreach ($fixes as $fix) {
                $mended = new Sight(circuit(Altered::setting($wrong, $fix->at === FixPlace::Handset ? 'order' : 'controller_order', $fix->order->toString())));
                foreach (Letter::cases() as $letter) {
                    expect(array_keys($mended->moved(Control::stick($letter))))->toBe([$letter->functionName()]);
                }
            }
        }
    }
});

it('shows in every test what the knowledge expects of the fault', function (string $name) {
    $rig = BenchRigs::get($name);
    $known = Knowledge::shipped();
    $sound = BenchRigs::probe($rig);
    // What its own record has wrong is wrong beside every other fault.
    $own = array_values(array_filter($sound->tests(), fn (string $test): bool => $sound->make($test)->outcome !== $known->tests[$test]->sound));
    expect($own)->toBe($name === 'dunlin' ? ['throttle_lowest', 'arming_block_reported', 'arms'] : []);
    $worlds = BenchRigs::faulty($rig);
    expect(count($worlds))->toBeGreaterThan(15);
    foreach ($worlds as $cause => $world) {
        $probe = BenchRigs::probe($rig, $world);
        foreach (array_diff($probe->tests(), $own) as $test) {
            $seen = $probe->make($test);
            expect($known->causes[$cause]->likelihood($test, $seen->outcome))->toBeGreaterThanOrEqual(0.3, "$cause shows $test as $seen->outcome: $seen->seen");
        }
    }
})->with(fn () => BenchRigs::names());

it('can be shown of every cause, on some rig', function () {
    $shown = [];
    foreach (BenchRigs::names() as $name) {
        $shown += BenchRigs::faulty(BenchRigs::get($name));
    }
    $causes = array_keys(Knowledge::shipped()->causes);
    expect(array_diff($causes, array_keys($shown)))->toBe([])->and(array_diff(Fault::causes(), $causes))->toBe([]);
});

/** The test that tells most, whatever it costs: nobody who looks one test ahead gets by with fewer. */
function tellingMost(Diagnosis $diagnosis, array $seen): ?string
{
    [$best, $most] = [null, 0.05];
    foreach (array_diff_key(Knowledge::shipped()->tests, array_flip(array_column($seen, 'test'))) as $test) {
        $gain = $diagnosis->gainOf($test);
        [$best, $most] = $gain > $most ? [$test->id, $gain] : [$best, $most];
    }

    return $best;
}

/** Asks as `diagnose` says, or by another rule, until it is sure: the cause it names, and how many tests it took. */
function played(RigDocument $rig, Probe $probe, array $seen = [], array $fixed = [], ?Closure $choose = null): array
{
    $known = Knowledge::shipped();
    foreach ($known->tests as $test) {
        $seen = $probe->fits($test->id) ? $seen : [...$seen, new Observation($test->id, Observation::CANNOT_DO)];
    }
    for ($tests = 0; ; $tests++) {
        $diagnosis = new Diagnosis($known, $seen, Probe::partsOf($rig), true, $fixed);
        $next = match (true) {
            $diagnosis->isSure() => null,
            $choose !== null => $choose($diagnosis, $seen),
            default => $diagnosis->next()?->test,
        };
        if ($next === null) {
            return [$diagnosis->suspects()[0]->cause, $tests];
        }
        $seen[] = new Observation($next, $probe->make($next)->outcome);
    }
}

it('finds the fault that was put in, whatever the rig', function () {
    [$games, $right, $tests] = [0, 0, 0];
    // Of the demo rigs one has a fault of its own on record.
    foreach (['avocet', 'mudlark', 'oystercatcher', 'sanderling', '01-fast-frame-short-ends', '13-return-on-loss', '17-train-without-a-gap', '20-relay'] as $name) {
        $rig = BenchRigs::get($name);
        foreach (BenchRigs::faulty($rig) as $cause => $world) {
            [$found, $took] = played($rig, BenchRigs::probe($rig, $world));
            [$games, $right, $tests] = [$games + 1, $right + ($found === $cause ? 1 : 0), $tests + $took];
        }
    }
    expect($games)->toBeGreaterThan(200)->and($right / $games)->toBeGreaterThanOrEqual(0.95)->and($tests / $games)->toBeLessThan(8.5);
});

it('takes at most one test more than whoever counts tests and not minutes', function () {
    [$games, $asked, $fewest] = [0, 0, 0];
    foreach (['avocet', '01-fast-frame-short-ends'] as $name) {
        $rig = BenchRigs::get($name);
        foreach (BenchRigs::faulty($rig) as $world) {
            $games++;
            $asked += played($rig, BenchRigs::probe($rig, $world))[1];
            $fewest += played($rig, BenchRigs::probe($rig, $world), [], [], tellingMost(...))[1];
        }
    }
    expect($asked / $games)->toBeLessThanOrEqual($fewest / $games + 1.0);
});

it('takes at most one test more than whoever tries every way to the end for the fewest minutes', function (string $name) {
    $rig = BenchRigs::get($name);
    $known = Knowledge::shipped();
    $probes = array_map(static fn (World $world): Probe => BenchRigs::probe($rig, $world), BenchRigs::faulty($rig));
    $can = array_filter(array_keys($known->tests), BenchRigs::probe($rig)->fits(...));
    $shows = array_map(static fn (Probe $probe): array => array_combine($can, array_map(static fn (string $test): string => $probe->make($test)->outcome, $can)), $probes);
    $cannot = array_map(static fn (string $test): Observation => new Observation($test, Observation::CANNOT_DO), array_values(array_diff(array_keys($known->tests), $can)));
    $impossible = array_values(array_diff(array_keys($known->causes), array_keys($shows)));
    [$tests, $minutes] = [0, 0.0];
    foreach ($shows as $outcomes) {
        $seen = $cannot;
        while (! ($diagnosis = new Diagnosis($known, $seen, Probe::partsOf($rig), true, [], $impossible))->isDone()) {
            $next = $diagnosis->next()->test;
            $seen[] = new Observation($next, $outcomes[$next]);
            [$tests, $minutes] = [$tests + 1, $minutes + $known->tests[$next]->minutes];
        }
    }
    // Whoever follows one test only goes by the rule: the same to the last test.
    $rule = (new ExhaustivePlayer($shows, array_keys($shows), 1, true))->mean();
    expect($rule['tests'])->toEqualWithDelta($tests / count($shows), 1e-9)->and($rule['cost'])->toEqualWithDelta($minutes / count($shows), 1e-9);
    $best = (new ExhaustivePlayer($shows, array_keys($shows), 2, true))->mean();
    expect($best['cost'])->toBeLessThan($rule['cost'])->and($rule['tests'])->toBeLessThanOrEqual($best['tests'] + 1.0);
})->with(['avocet', '13-return-on-loss', '20-relay']);

it('finds the second fault once the first is mended', function () {
    mt_srand(7);
    $rig = BenchRigs::get('01-fast-frame-short-ends');
    $causes = array_keys(BenchRigs::faulty($rig));
    [$games, $both] = [0, 0];
    for ($k = 0; $k < 30; $k++) {
        $pair = array_rand(array_flip($causes), 2);
        $faults = new Faults($rig, Formats::shipped());
        $put = static fn (string ...$left): World => array_reduce($left, static fn (World $world, string $cause): World => $faults->put($world, Fault::tryOf($cause)), World::of($rig));
        [$first] = played($rig, BenchRigs::probe($rig, $put(...$pair)));
        $games++;
        if (in_array($first, $pair, true)) {
            $left = array_values(array_diff($pair, [$first]));
            [$second] = played($rig, BenchRigs::probe($rig, $put(...$left)), [], [$first]);
            $both += $second === $left[0] ? 1 : 0;
        }
    }
    expect($both / $games)->toBeGreaterThanOrEqual(0.8);
});

it('carries through the air in the steps of the coarser end', function () {
    $air = function (?int $sent, ?int $heard): array {
        $rig = Altered::card(BenchRigs::golden(0), 0, function (stdClass $card) use ($sent): void {
            $card->radios = [(object) [...(array) $card->radios[0], 'protocols' => [(object) [...(array) $card->radios[0]->protocols[0], ...($sent === null ? [] : ['levels' => $sent])]]]];
        });
        $rig = Altered::card($rig, 1, function (stdClass $card) use ($heard): void {
            $card->protocols = [(object) [...(array) $card->protocols[0], ...($heard === null ? [] : ['levels' => $heard])]];
        });

        return circuit($rig)->run(Controls::resting()->moved(Letter::Aileron, 30.0)->moved(Letter::Elevator, -30.0))->couplings()[0]->us;
    };
    // 30 % are 153.6 µs beside the centre; five levels are steps of 256 µs, nine of 128.
    expect(array_slice($air(null, null), 0, 2))->toBe([1653.6, 1346.4])
        ->and(array_slice($air(5, 9), 0, 3))->toBe([1756.0, 1244.0, 988.0])
        ->and(array_slice($air(null, 9), 0, 2))->toBe([1628.0, 1372.0]);
});

it('turns a stick round by the signs of its weights, and moves it by their amounts', function () {
    $sent = fn (array $set): float => circuit(Altered::channel(BenchRigs::golden(0), 1, function (stdClass $entry) use ($set): void {
        foreach ($set as $key => $value) {
            $entry->{$key} = $value;
        }
    }))->run(Controls::resting()->moved(Letter::Aileron, 50.0))->couplings()[0]->us[0];
    expect($sent([]))->toBe(1756.0)
        ->and($sent(['weight' => 50]))->toBe(1628.0)
        ->and($sent(['weight' => -50]))->toBe(1372.0)
        ->and($sent(['weight' => -50, 'mix_weight' => -200]))->toBe(1756.0)
        ->and($sent(['mix_weight' => -100, 'reversed' => true]))->toBe(1756.0)
        ->and($sent(['rate_pct' => 50, 'expo_pct' => 100]))->toBe(1532.0);
});

it('does not arm with the throttle at the threshold itself', function (float $low, bool $armed, ?string $refuses) {
    $rig = Altered::setting(BenchRigs::golden(7), 'thresholds', (object) ['low' => $low]);
    $state = simulated(['rig' => $rig->document, 'switches' => ['L2' => 2]])->controller;
    expect([$state->armed, $state->refuses])->toBe([$armed, $refuses]);
})->with([[1000.5, true, null], [1000.0, false, 'throttle'], [999.0, false, 'throttle']]);

it('goes on where a module sends by itself, with the handset off', function () {
    $rig = BenchRigs::get('15-long-range-on-a-cable');
    $loss = fn (string $does): array => gets(circuit(Altered::card($rig, 1, function (stdClass $card) use ($does): void {
        $card->on_input_loss = $does;
    })), Controls::resting()->moved(Letter::Throttle, 20.0), [1]);
    $was = gets(circuit($rig), Controls::resting()->moved(Letter::Throttle, 20.0));
    expect($loss('holds'))->toBe($was)->and($loss('stops'))->not->toBe($was);
});

it('keeps every fault that is in, whatever was put in before it', function () {
    $made = function (array $faults, string $test): string {
        $rig = BenchRigs::get('01-fast-frame-short-ends');
        $put = new Faults($rig, Formats::shipped());
        $world = World::of($rig);
        foreach ($faults as $cause => $channel) {
            $world = $put->put($world, Fault::fromNode(new Node((object) ['cause' => $cause, 'with' => (object) array_filter(['channel' => $channel])]), ''));
        }

        return BenchRigs::probe($rig, $world)->make($test)->outcome;
    };
    // Two reasons not to bind: each must go.
    expect($made(['variant_wrong' => null], 'bind_fixed_variant'))->toBe('binds')
        ->and($made(['firmware_generation_mismatch' => null, 'variant_wrong' => null], 'bind_fixed_variant'))->toBe('fails')
        ->and($made(['variant_wrong' => null, 'firmware_generation_mismatch' => null], 'bind_fixed_variant'))->toBe('fails')
        // A supply that sags is none where there is none.
        ->and($made(['brown_out' => null, 'no_receiver_power' => null], 'receiver_light'))->toBe('off')
        ->and($made(['no_receiver_power' => null, 'brown_out' => null], 'supply_at_receiver'))->toBe('none')
        // Each on its own channel.
        ->and($made(['trim_bumped' => 2, 'stick_calibration_bad' => 3], 'end_values'))->toBe('short')
        ->and($made(['trim_bumped' => 2, 'stick_calibration_bad' => 3], 'rest_values'))->toBe('slightly_off')
        ->and($made(['stick_calibration_bad' => 3, 'trim_bumped' => 2], 'end_values'))->toBe('short');
});
