<?php

declare(strict_types=1);

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\DryBench\Fault;
use Linguator\Core\Format\Formats;
use Linguator\Core\Practice\AutoPlay;
use Linguator\Core\Practice\BestWay;
use Linguator\Core\Practice\Game;
use Linguator\Core\Practice\Level;
use Linguator\Core\Practice\Move;
use Linguator\Core\Practice\Play;
use Linguator\Core\Practice\PracticeShown;
use Linguator\Core\Practice\Review;
use Linguator\Core\Practice\Setting;
use Linguator\Core\Tests\BenchRigs;

function hidden(string $rig, string $seed, Level $level = Level::Plain): Game
{
    return Game::draw(BenchRigs::get($rig), $seed, $level, Formats::shipped());
}

it('hides by its seed one fault of its level, or two that can be had together', function () {
    $seen = [];
    foreach (range(1, 10) as $seed) {
        foreach (Level::cases() as $level) {
            $game = hidden('avocet', (string) $seed, $level);
            expect($game->hidden)->toBe(hidden('avocet', (string) $seed, $level)->hidden)->toHaveCount($level === Level::Two ? 2 : 1)
                ->and(array_intersect($game->hidden, $game->impossible))->toBe([]);
            if ($level !== Level::Two) {
                expect(Fault::tryOf($game->hidden[0])->measure->textOrNull('level') === 'subtle')->toBe($level === Level::Subtle);
            }
            $seen[$game->hidden[0]] = true;
        }
    }
    expect(count($seen))->toBeGreaterThan(12);
});

it('complains of what the fault shows, and of nothing that a sound rig shows', function () {
    $known = Knowledge::shipped()->tests;
    foreach (range(1, 10) as $seed) {
        $game = hidden('01-fast-frame-short-ends', (string) $seed);
        $complaint = $game->complaint();
        expect($complaint->test)->not->toBeNull()
            ->and($game->probe()->make($complaint->test)->outcome)->toBe($complaint->outcome)->not->toBe($known[$complaint->test]->sound);
    }
});

it('takes no rig whose own record has a fault', function () {
    hidden('dunlin', '1');
})->throws(DocumentError::class, 'Its own record has a fault already');

it('counts minutes, and five more for a fault named in vain', function () {
    $game = hidden('avocet', '7');
    expect($game->hidden)->toBe(['order_mismatch']);
    $play = new Play($game, [Move::test('receiver_light'), Move::fromNode(new Node((object) ['look' => true]), ''), Move::fromNode(new Node((object) ['look' => true]), ''), Move::name('trim_bumped'), Move::test('order_after_radio'), Move::name('order_mismatch')]);
    expect($play->minutes)->toBe(2.0 + 3.0 + 0.0 + 5.0 + 4.0)->and($play->isWon())->toBeTrue()->and(array_column($play->steps, 'outcome'))->toBe(['steady', null, null, 'wrong', 'same', 'right']);
    $review = Review::of($play);
    expect($review->score)->toEqualWithDelta($review->best->minutes / 14.0, 1e-3)->and($review->advice)->toContain('in vain');
    // Perfect play is a whole score; giving up is none.
    expect(Review::of(new Play($game, [Move::name('order_mismatch')]))->score)->toBe(1.0)
        ->and(Review::of(new Play($game, [Move::test('receiver_light'), Move::fromNode(new Node((object) ['give_up' => true]), '')]))->score)->toBe(0.0);
});

it('tells of every test what it was worth against the best that stood open', function () {
    $play = new Play(hidden('avocet', '7'), [Move::test('range_walk'), Move::test('stick_moves_wrong_value'), Move::name('order_mismatch')]);
    [$walk, $again] = $play->steps;
    expect($walk->gainBits)->toBeLessThan(0.2)->and($walk->best)->not->toBe('range_walk')->and($walk->lost)->toBeGreaterThan(0.2)
        // The complaint has said so already.
        ->and($again->gainBits)->toBe(0.0)
        ->and(Review::of($play)->advice)->toContain('would have told more');
});

it('goes on with a second fault, and what was seen before counts no more', function () {
    $game = hidden('oystercatcher', '1', Level::Two);
    expect($game->hidden)->toHaveCount(2);
    $play = new Play($game, [Move::name($game->hidden[1])]);
    expect($play->isOver())->toBeFalse()->and($play->steps[0]->seen)->toContain('all is not well yet')
        ->and((new Play($game, [Move::name($game->hidden[1]), Move::name($game->hidden[1])]))->steps[1]->outcome)->toBe('wrong')
        ->and((new Play($game, [Move::name($game->hidden[1]), Move::name($game->hidden[0])]))->isWon())->toBeTrue();
});

it('says nothing of the truth before it is over', function () {
    foreach (range(1, 6) as $seed) {
        $game = hidden('avocet', (string) $seed, Level::Subtle);
        $shown = static fn (array $moves): stdClass => Json::decode(Json::compact(Plain::of(new PracticeShown(new Play($game, $moves), (string) $seed, Level::Subtle))));
        $open = $shown([Move::test('receiver_light')]);
        expect($open->review)->toBeNull()->and($open->steps[0]->gain_bits)->toBeNull()->and($open->steps[0]->best)->toBeNull();
        // Another game of the same rig says the same but for what was seen.
        unset($open->complaint, $open->steps, $open->seed);
        $other = Json::decode(Json::compact(Plain::of(new PracticeShown(new Play(hidden('avocet', 'other', Level::Subtle), [Move::test('receiver_light')]), 'x', Level::Subtle))));
        unset($other->complaint, $other->steps, $other->seed);
        expect($open)->toEqual($other);
        $over = $shown([Move::fromNode(new Node((object) ['give_up' => true]), '')]);
        expect(array_column($over->review->truth, 'id'))->toBe($game->hidden);
    }
});

it('is found by the best way, whose minutes are those of its tests', function () {
    foreach (range(1, 4) as $seed) {
        $game = hidden('avocet', (string) $seed);
        $best = BestWay::through($game);
        $minutes = array_sum(array_map(static fn (string $test): float => Knowledge::shipped()->tests[$test]->minutes, $best->tests));
        expect($best->isFound)->toBeTrue()->and($best->minutes)->toBe((float) $minutes);
        $moves = [...array_map(Move::test(...), $best->tests), Move::name($game->hidden[0])];
        expect(Review::of(new Play($game, $moves))->score)->toBe(1.0);
    }
});

it('plays itself through, a line for every step', function () {
    $lines = iterator_to_array(AutoPlay::through(hidden('avocet', '7')), false);
    expect(array_column($lines, 'step'))->toBe(['complaint', 'test', 'test', 'test', 'name', 'review'])
        ->and(end($lines)->found)->toBe(['order_mismatch'])->and(end($lines)->minutes)->toBe(9.0);
});

it('mends what lies in a setting that is put back, for its minutes, and nothing where it stood as it should', function () {
    $change = static fn (string $setting): Move => Move::fromNode(new Node((object) ['change' => $setting]), '');
    $game = hidden('avocet', '7');
    $play = new Play($game, [$change('travel'), $change('order')]);
    expect($game->hidden)->toBe(['order_mismatch'])->and(array_column($play->steps, 'outcome'))->toBe(['nothing', 'helped'])
        ->and($play->minutes)->toBe(6.0 + 4.0)->and($play->isWon())->toBeTrue()->and($play->found)->toBe(['order_mismatch'])
        ->and($play->steps[0]->seen)->not->toContain('order')->and(Review::of($play)->advice)->toContain('test first');
    // With two hidden the game goes on with what is left.
    $two = hidden('oystercatcher', '1', Level::Two);
    $mending = static fn (string $cause): string => (string) array_key_first(array_filter($two->settings(), fn (Setting $one): bool => in_array($cause, $one->mends, true)));
    $able = array_values(array_filter($two->hidden, fn (string $cause): bool => $mending($cause) !== ''));
    $open = new Play($two, [$change($mending($able[0]))]);
    expect($open->found)->toBe([$able[0]])->and($open->isOver())->toBeFalse()->and($open->steps[0]->seen)->toContain('all is not well yet')
        // Once more it stands as it should.
        ->and((new Play($two, [$change($mending($able[0])), $change($mending($able[0]))]))->steps[1]->outcome)->toBe('nothing');
});

it('names in its settings every cause once at most, each a fault of the dry bench, and offers what this rig has', function () {
    $mends = array_merge(...array_values(array_map(static fn (Setting $one): array => $one->mends, Setting::all())));
    expect($mends)->toBe(array_values(array_unique($mends)))->and(array_diff($mends, Fault::causes()))->toBe([]);
    foreach ($mends as $cause) {
        // What is mended by a plug, a wire or a new pack is no setting.
        expect(Knowledge::shipped()->causes)->toHaveKey($cause);
    }
    $game = hidden('avocet', '7');
    foreach (Setting::all() as $id => $setting) {
        expect(isset($game->settings()[$id]))->toBe(array_diff($setting->mends, $game->impossible) !== []);
    }
});

it('refuses moves that cannot be made, at their place', function (array $moves, string $path) {
    try {
        new Play(hidden('avocet', '7'), array_map(fn (array $move, int $k): Move => Move::fromNode(new Node((object) $move), "moves.$k"), $moves, array_keys($moves)));
    } catch (DocumentError $error) {
        expect($error->path)->toBe($path);

        return;
    }
    test()->fail('It was taken.');
})->with([
    [[['test' => 'kick_it']], 'moves.0.test'],
    [[['name' => 'gremlins']], 'moves.0.name'],
    [[['test' => 'trims', 'name' => 'trim_bumped']], 'moves.0'],
    [[['change' => 'hopes']], 'moves.0.change'],
    [[['change' => 'order', 'look' => true]], 'moves.0'],
    [[['test' => 'trims'], []], 'moves.1'],
    [[['test' => 'loss_test_first_hop']], 'moves.0.test'],
    [[['give_up' => true], ['test' => 'trims']], 'moves.1'],
]);
