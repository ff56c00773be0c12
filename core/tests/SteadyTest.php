<?php

declare(strict_types=1);

use Linguator\Core\Bench\DanceRehearsal;
use Linguator\Core\Bench\RigSteady;
use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\SteadyValue;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Steps\Order\OrderReview;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\DemoRigs;

/** @param  list<float>  $us  Every 20 ms. */
function steadyOf(array $us): SteadyValue
{
    return SteadyValue::of(ChannelLog::fromRows(array_map(static fn (int $k): float => 20.0 * $k, array_keys($us)), array_map(static fn (float $one): array => [$one], $us)), 1);
}

it('takes what is held for long enough, and nothing that still moves, jitters or has only just come', function (array $us, bool $isHeld, float $value) {
    $steady = steadyOf($us);
    expect($steady->isHeld())->toBe($isHeld)->and($steady->us)->toEqualWithDelta($value, $isHeld ? 1.1 : 12.0);
})->with([
    'held' => [array_fill(0, 40, 1900.0), true, 1900.0],
    'held, with the noise of an edge' => [array_map(static fn (int $k): float => 1900.0 + $k % 3 - 1, range(0, 40)), true, 1900.0],
    'one bad frame a while ago begins it anew' => [[...array_fill(0, 30, 1900.0), 1200.0, ...array_fill(0, 18, 1900.0)], false, 1900.0],
    'on its way' => [array_map(static fn (int $k): float => 1500.0 + 10 * $k, range(0, 40)), false, 1900.0],
    'held, on a noisy wire' => [array_map(static fn (int $k): float => 1900.0 + 8 * ($k % 3 - 1), range(0, 40)), true, 1900.0],
    'too noisy to be held' => [array_map(static fn (int $k): float => 1900.0 + 60 * ($k % 2), range(0, 40)), false, 1900.0],
    'let go of so slowly that it hardly shows' => [array_map(static fn (int $k): float => 1500.0 + $k, range(0, 200)), false, 1700.0],
    'arrived a third of a second ago' => [[...array_fill(0, 20, 1500.0), ...array_fill(0, 17, 1900.0)], false, 1900.0],
]);

it('is not the value that was taken before', function () {
    $steady = steadyOf(array_fill(0, 40, 1900.0));
    expect($steady->isOtherThan(null))->toBeTrue()->and($steady->isOtherThan(1860.0))->toBeFalse()->and($steady->isOtherThan(1500.0))->toBeTrue();
});

it('needs rows to be held: two that lie far apart are no stick that somebody holds', function () {
    expect(SteadyValue::of(ChannelLog::fromRows([0.0, 900.0], [[1500.0], [1500.0]]), 1)->isHeld())->toBeFalse();
});

it('asks for every stick of a rig that arrives somewhere, the throttle from below, and reads what the dry bench holds there', function (string $name) {
    $rig = BenchRigs::get($name);
    $steady = new RigSteady($rig);
    $order = new OrderReview($rig);
    $log = new Node((object) ['log' => array_slice((new DanceRehearsal($rig, new Node(new stdClass), Formats::shipped()))->danced(3)->log, 0, 60)]);
    foreach ($steady->asks() as $ask) {
        expect($order->channelOf($ask->function))->not->toBeNull();
        if ($ask->kind === 'stick') {
            expect(array_column($ask->holds, 'side'))->toEqualCanonicalizing(['lo', 'mid', 'hi']);
        }
        $held = $steady->held($ask->function, RigSteady::log($log), null);
        expect($held->is_taken)->toBeTrue()->and($held->channel)->toBe($order->channelOf($ask->function))->and($held->noise_us)->toBeLessThan(2.0)
            ->and($steady->held($ask->function, RigSteady::log($log), $held->us)->is_taken)->toBeFalse();
    }
    $throttle = array_values(array_filter($steady->asks(), static fn (stdClass $ask): bool => $ask->function === 'throttle'));
    expect($throttle === [] ? 'lo' : $throttle[0]->holds[0]->side)->toBe($rig->motorOffAtCentre() ? 'mid' : 'lo');
})->with(['dunlin', 'avocet', 'mudlark', 'oystercatcher', '01-fast-frame-short-ends', '20-relay']);

it('says what does not arrive, and what is no log', function () {
    $steady = new RigSteady(DemoRigs::get('dunlin'));
    $at = static fn (Closure $call): string => (static function () use ($call): string {
        try {
            $call();
        } catch (DocumentError $error) {
            return $error->path;
        }

        return 'taken';
    })();
    $row = static fn (array $us): Node => new Node((object) ['log' => [(object) ['t_ms' => 0.0, 'us' => $us]]]);
    expect($at(static fn () => $steady->held('wings', RigSteady::log($row([1500.0])), null)))->toBe('function')
        ->and($at(static fn () => $steady->held('rudder', RigSteady::log($row([1500.0])), null)))->toBe('function')
        ->and($at(static fn () => RigSteady::log(new Node((object) ['log' => []]))))->toBe('log');
});
