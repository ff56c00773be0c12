<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Tests\DanceCase;
use Linguator\Core\Tests\DanceSimulator;
use Linguator\Core\Tests\Golden;
use Linguator\Core\Verb\Verbs;

function danced(stdClass $in): stdClass
{
    return json_decode((string) json_encode((new Verbs(new Schemas))->ask('dance', json_decode((string) json_encode($in, JSON_PRESERVE_ZERO_FRACTION))), JSON_PRESERVE_ZERO_FRACTION));
}

/** A small dance of one stick and one switch, as rows every 10 ms. */
function littleDance(callable $at, int $channels = 2, float $seconds = 8.0): array
{
    $rows = [];
    for ($ms = 0; $ms < $seconds * 1000; $ms += 10) {
        $rows[] = (object) ['t_ms' => $ms, 'us' => array_map(static fn (int $channel): float => $at($channel, $ms), range(1, $channels))];
    }

    return $rows;
}

it('answers as the worked cases', function (string $verb, stdClass $case) {
    $in = clone $case->in;
    if (isset($case->log)) {
        $in->log = DanceCase::log(basename($case->log));
    }
    if (isset($case->out->error_path)) {
        expect(fn () => danced($in))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($case->out->error_path));

        return;
    }
    $answer = danced($in);
    expect(DanceCase::differences($case->out, $answer, (float) $case->tolerance->{'*'}))->toBe([]);
    if (isset($case->out->tune_predicted)) {
        foreach ($answer->proposals->tune->channels as $channel) {
            foreach (['lo', 'mid', 'hi'] as $end) {
                expect(abs($channel->predicted->{$end} - $case->out->tune_predicted->{$end}) <= $case->tolerance->predicted || $channel->limited !== [] || ($channel->name === 'T' && $end === 'mid'))->toBeTrue("$channel->name $end");
            }
        }
    }
})->with(fn () => Golden::cases('dance'));

it('reads dances made at random, and is never confidently wrong', function (string $kind, bool $isPrompted) {
    [$complete, $all] = [0, 25];
    for ($seed = 0; $seed < $all; $seed++) {
        [$in, $out] = DanceSimulator::of($seed * 7 + ($isPrompted ? 0 : 3), $kind, $isPrompted);
        $differences = DanceCase::differences($out, danced($in), 2.0);
        expect(array_values(array_filter($differences, static fn (string $one): bool => str_starts_with($one, 'wrong'))))->toBe([], "$kind, seed $seed");
        $complete += $differences === [] ? 1 : 0;
    }
    if ($kind === DanceSimulator::SOUND) {
        expect($complete)->toBeGreaterThanOrEqual((int) ceil(0.97 * $all));
    }
})->with([DanceSimulator::SOUND, DanceSimulator::SKIPPED, DanceSimulator::TWICE, DanceSimulator::DRAGGED, DanceSimulator::FROZEN, DanceSimulator::REPLACED])->with([true, false]);

it('says what it saw so far while the dance goes on, and nothing else than at its end', function () {
    [$in] = DanceSimulator::of(11, DanceSimulator::SOUND, true);
    $whole = danced($in);
    $certain = 0;
    for ($share = 0.2; $share < 1.0; $share += 0.1) {
        $rows = array_slice($in->log, 0, (int) ($share * count($in->log)));
        $end = $rows[count($rows) - 1]->t_ms;
        $prompts = array_values(array_filter($in->prompts, static fn (stdClass $prompt): bool => $prompt->t_ms <= $end));
        $part = danced((object) ['log' => $rows, 'script' => $in->script, 'prompts' => $prompts]);
        foreach ($part->moves as $k => $move) {
            // The one under way may still be anything; what was let go of a while ago stays.
            if (in_array($move->state, ['found', 'twice'], true) && $move->channel !== null && $move->to_ms < $end - 800) {
                expect([$move->channel, $part->channels[$move->channel - 1]->reversed])->toBe([$whole->moves[$k]->channel, $whole->channels[$move->channel - 1]->reversed]);
                $certain++;
            }
        }
    }
    expect($certain)->toBeGreaterThan(10);
});

it('takes no stick that is held at an end for its rest, however long it is held', function (int $seed, string $letter, bool $isUp, float $seconds) {
    [$in] = DanceSimulator::of($seed, DanceSimulator::SOUND, true);
    $before = DanceCase::stick(danced($in), $letter);
    $last = $in->log[count($in->log) - 1];
    for ($ms = 10.0; $ms < $seconds * 1000; $ms += 10) {
        $us = $last->us;
        $us[$before->channel - 1] = $before->mid + ($isUp ? $before->hi - $before->mid : $before->lo - $before->mid) * min(1.0, $ms / 200);
        $in->log[] = (object) ['t_ms' => $last->t_ms + $ms, 'us' => $us];
    }
    $after = DanceCase::stick(danced($in), $letter);
    expect(abs($after->mid - $before->mid))->toBeLessThan(2.0)->and([$after->channel, $after->reversed])->toBe([$before->channel, $before->reversed]);
})->with([11, 23])->with(['R', 'A'])->with([true, false])->with([1.2, 2.4, 20.0]);

it('is asked with what cannot be, and says where', function (array $change, string $path) {
    $in = (object) ($change + ['log' => [(object) ['t_ms' => 0, 'us' => [1500, 1500]], (object) ['t_ms' => 10, 'us' => [1500, 1500]]], 'script' => [(object) ['move' => 'rest'], (object) ['move' => 'stick', 'letter' => 'T']]]);
    expect(fn () => danced($in))->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'an empty log' => [['log' => []], 'log'],
    'rows without values' => [['log' => [(object) ['t_ms' => 0, 'us' => []]]], 'log.0.us'],
    'a row too short' => [['log' => [(object) ['t_ms' => 0, 'us' => [1500, 1500]], (object) ['t_ms' => 10, 'us' => [1500]]]], 'log.1.us'],
    'times backwards' => [['log' => [(object) ['t_ms' => 10, 'us' => [1500]], (object) ['t_ms' => 9, 'us' => [1500]]]], 'log.1.t_ms'],
    'a move nobody knows' => [['script' => [(object) ['move' => 'jump']]], 'script.0.move'],
    'a letter that is none' => [['script' => [(object) ['move' => 'stick', 'letter' => 'Q']]], 'script.0.letter'],
    'a letter twice' => [['script' => [(object) ['move' => 'stick', 'letter' => 'T'], (object) ['move' => 'stick', 'letter' => 'T']]], 'script.1.letter'],
    'an id twice' => [['script' => [(object) ['move' => 'knob', 'id' => 'K1'], (object) ['move' => 'switch', 'id' => 'K1', 'positions' => 2]]], 'script.1.id'],
    'a stick without its letter' => [['script' => [(object) ['move' => 'stick']]], 'script.0.letter'],
    'a rest with an id' => [['script' => [(object) ['move' => 'rest', 'id' => 'K1']]], 'script.0.id'],
    'a switch with one position' => [['script' => [(object) ['move' => 'switch', 'id' => 'L1', 'positions' => 1]]], 'script.0.positions'],
    'a prompt beyond the script' => [['prompts' => [(object) ['move' => 2, 't_ms' => 0]]], 'prompts.0.move'],
    'prompts backwards' => [['prompts' => [(object) ['move' => 0, 't_ms' => 5], (object) ['move' => 1, 't_ms' => 4]]], 'prompts.1.t_ms'],
    'settings of a channel that is not there' => [['settings' => [(object) ['channel' => 3, 'lo_pct' => 100, 'hi_pct' => 100, 'subtrim' => 0]]], 'settings.0.channel'],
]);

it('takes garbage, one channel and thirty-two for what they are', function (int $channels, callable $at) {
    $answer = danced((object) ['log' => littleDance($at, $channels), 'script' => [(object) ['move' => 'rest'], (object) ['move' => 'stick', 'letter' => 'A'], (object) ['move' => 'switch', 'id' => 'L1', 'positions' => 2]]]);
    expect(array_column($answer->moves, 'state'))->toBe(['found', 'not_seen', 'not_seen'])
        ->and($answer->redo)->toBe([1, 2])->and($answer->order)->toBeNull()->and($answer->channels)->toHaveCount($channels)
        ->and((array) $answer->proposals)->toBe([]);
})->with([
    'noise all over' => [4, fn (int $channel, int $ms): float => 1000 + crc32("$channel/$ms") % 1000],
    'nothing at all' => [1, fn (): float => 1500.0],
    'thirty-two that stand still' => [32, fn (int $channel): float => 1000.0 + $channel],
]);

it('does not take one stick for two, nor a stick that went one way only', function () {
    $stick = static fn (int $ms, bool $isWhole = true): float => match (true) {
        $ms > 2300 && $ms < 3200 => 2000.0, $ms >= 2200 && $ms <= 2300 => 1500 + 5.0 * ($ms - 2200), $ms >= 3200 && $ms <= 3400 => $isWhole ? 2000 - 5.0 * ($ms - 3200) : 2000 - 2.5 * ($ms - 3200),
        $isWhole && $ms > 3400 && $ms < 4200 => 1000.0, $isWhole && $ms >= 4200 && $ms <= 4300 => 1000 + 5.0 * ($ms - 4200), default => 1500.0,
    };
    $script = [(object) ['move' => 'rest'], (object) ['move' => 'stick', 'letter' => 'A']];
    $asked = static fn (callable $at): stdClass => danced((object) ['log' => littleDance($at), 'script' => $script, 'prompts' => [(object) ['move' => 0, 't_ms' => 0], (object) ['move' => 1, 't_ms' => 2000]]]);
    $alone = $asked(fn (int $channel, int $ms): float => $channel === 1 ? $stick($ms) : 1500.0);
    expect([$alone->moves[1]->state, $alone->moves[1]->channel, $alone->channels[0]->lo, $alone->channels[0]->hi])->toBe(['found', 1, 1000.0, 2000.0]);
    $both = $asked(fn (int $channel, int $ms): float => $channel === 1 ? $stick($ms) : 1500 + 0.9 * ($stick($ms) - 1500));
    expect([$both->moves[1]->state, $both->moves[1]->also])->toBe(['unclear', [2]])->and($both->channels[0]->letter ?? null)->toBeNull()
        ->and(array_column($both->findings, 'code'))->toContain('two_moved');
    $half = $asked(fn (int $channel, int $ms): float => $channel === 1 ? $stick($ms, false) : 1500.0);
    expect($half->moves[1]->state)->toBe('unclear')->and($half->redo)->toBe([1])->and($half->channels[0]->kind)->toBe('unclear');
    // Hands off, and yet it moved.
    $early = danced((object) ['log' => littleDance(fn (int $channel, int $ms): float => $channel === 1 ? $stick($ms) : 1500.0), 'script' => $script, 'prompts' => [(object) ['move' => 0, 't_ms' => 0], (object) ['move' => 1, 't_ms' => 6000]]]);
    expect($early->moves[1]->state)->toBe('not_seen')->and(array_column($early->findings, 'code'))->toContain('moved_at_rest');
});

it('takes values that never change at rest for what they are, and frozen ones of a restless sender for a dropout', function () {
    $move = static fn (int $ms): float => $ms > 2300 && $ms < 3300 ? min(2000.0, 1000 + 5.0 * ($ms - 2300)) : ($ms >= 3300 ? max(1000.0, 2000 - 5.0 * ($ms - 3300)) : 1000.0);
    $script = [(object) ['move' => 'rest'], (object) ['move' => 'stick', 'letter' => 'T'], (object) ['move' => 'rest']];
    $still = danced((object) ['log' => littleDance(fn (int $channel, int $ms): float => $channel === 1 ? $move($ms) : 1500.0), 'script' => $script]);
    expect($still->moves[1]->state)->toBe('found')->and(array_column($still->findings, 'code'))->not->toContain('dropout');
    $noise = static fn (int $channel, int $ms): float => (crc32("$channel/$ms") % 5 - 2) / 2;
    $frozen = danced((object) ['log' => littleDance(fn (int $channel, int $ms): float => $channel === 1 ? $move($ms) + $noise(1, $ms > 5000 && $ms < 5600 ? 5000 : $ms) : 1500 + $noise(2, $ms > 5000 && $ms < 5600 ? 5000 : $ms)), 'script' => $script]);
    expect($frozen->moves[1]->state)->toBe('found')->and(array_column($frozen->findings, 'code'))->toContain('dropout');
});

it('believes neither of two moves that name the same channel', function () {
    $once = static fn (int $ms, int $from): ?float => match (true) {
        $ms < $from || $ms > $from + 2200 => null,
        default => 1500 + 500 * max(-1.0, min(1.0, $ms < $from + 1000 ? ($ms - $from) / 200 : ($ms < $from + 2000 ? 1 - ($ms - $from - 1000) / 150 : ($ms - $from - 2200) / 200))),
    };
    $at = fn (int $channel, int $ms): float => $channel === 1 ? $once($ms, 2400) ?? $once($ms, 5400) ?? 1500.0 : 1500.0;
    $asked = static fn (array $letters): stdClass => danced((object) [
        'log' => littleDance($at, 2, 9.0), 'script' => [(object) ['move' => 'rest'], ...array_map(static fn (string $letter): stdClass => (object) ['move' => 'stick', 'letter' => $letter], $letters)],
        'prompts' => array_map(static fn (int $k): stdClass => (object) ['move' => $k, 't_ms' => [0, 2200, 5200][$k]], range(0, count($letters))),
    ]);
    expect(array_column($asked(['A', 'E'])->moves, 'state'))->toBe(['found', 'unclear', 'unclear'])
        ->and(array_column($asked(['A'])->moves, 'state'))->toBe(['found', 'twice']);
});

it('does not believe a knob that began near an end and was never turned there', function (float $begin, array $turns, string $state) {
    $at = static function (int $channel, int $ms) use ($begin, $turns): float {
        $us = $begin;
        foreach ($channel === 1 ? $turns : [] as $k => $to) {
            $us += ($to - $us) * max(0.0, min(1.0, ($ms - 2500 - 800 * $k) / 250));
        }

        return $us;
    };
    $answer = danced((object) ['log' => littleDance($at), 'script' => [(object) ['move' => 'rest'], (object) ['move' => 'knob', 'id' => 'K1']], 'prompts' => [(object) ['move' => 0, 't_ms' => 0], (object) ['move' => 1, 't_ms' => 2200]]]);
    expect($answer->moves[1]->state)->toBe($state);
})->with([
    'low end left out' => [1200.0, [2000.0, 1500.0], 'unclear'],
    'low end left out, with a stop on the way' => [1200.0, [2000.0, 1900.0, 1500.0], 'unclear'],
    'high end left out' => [1800.0, [1000.0, 1500.0], 'unclear'],
    'both, from somewhere' => [1200.0, [2000.0, 1000.0, 1500.0], 'found'],
    'both, from the low end' => [1000.0, [2000.0, 1000.0, 1500.0], 'found'],
    'both, from the middle' => [1500.0, [2000.0, 1000.0, 1500.0], 'found'],
]);
