<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/**
 * Somebody who dances, by the rule: holds of 0.3 to 1.2 s, moves of 0.1 to 0.5 s, pauses of 0.2 to 2 s, springs that overshoot and ring,
 * early starts, other sticks bumped a little, switches flipped past a position, uneven periods, missing samples; and what may go wrong.
 */
final class DanceSimulator
{
    public const SOUND = 'sound';

    public const SKIPPED = 'skipped';

    public const TWICE = 'twice';

    public const DRAGGED = 'dragged';

    public const FROZEN = 'frozen';

    public const REPLACED = 'replaced';

    /** @var array<int, list<array{float, float, float}>> Key frames by channel: when (ms), where (µs), how long the way there takes (ms). */
    private array $frames = [];

    /** @var list<\stdClass> */
    private array $script = [];

    /** @var list<\stdClass> */
    private array $prompts = [];

    /** @var list<\stdClass> */
    private array $moves = [];

    /** @var array<int, \stdClass> */
    private array $channels = [];

    private float $ms = 0.0;

    private int $count;

    private float $sigma;

    private float $step;

    private float $period;

    private function __construct(private string $kind, private bool $isPrompted)
    {
        $this->count = mt_rand(6, 9);
        $this->sigma = mt_rand(0, 9) === 0 ? 0.0 : self::real(0.2, 2.0);
        $this->step = [0.0, 0.5, 1.0][mt_rand(0, 2)];
        $this->period = self::real(4.0, 25.0);
    }

    /** @return array{\stdClass, \stdClass} What `dance` is asked, and what must come out. */
    public static function of(int $seed, string $kind, bool $isPrompted): array
    {
        mt_srand($seed);

        return (new self($kind, $isPrompted))->dance();
    }

    /** @return array{\stdClass, \stdClass} */
    private function dance(): array
    {
        $letters = ['T', 'R', 'E', 'A'];
        shuffle($letters);
        $riding = [1, 2, 3, 4];
        shuffle($riding);
        $controls = [];
        foreach ($letters as $k => $letter) {
            $controls[] = [(object) ['move' => 'stick', 'letter' => $letter], $riding[$k]];
        }
        $others = range(5, $this->count);
        shuffle($others);
        $controls[] = [(object) ['move' => 'switch', 'id' => 'L1', 'positions' => 2], $others[0]];
        if (count($others) > 1 && mt_rand(0, 2) > 0) {
            $controls[] = mt_rand(0, 1) === 0 ? [(object) ['move' => 'switch', 'id' => 'R1', 'positions' => [3, 3, 6][mt_rand(0, 2)]], $others[1]] : [(object) ['move' => 'knob', 'id' => 'K1'], $others[1]];
        }
        for ($channel = 1; $channel <= $this->count; $channel++) {
            $this->frames[$channel] = [[-1e6, 1500.0 + (mt_rand(0, 3) === 0 ? mt_rand(-20, 20) : 0), 0.0]];
            $this->channels[$channel] = (object) ['channel' => $channel, 'kind' => ['still', 'unclear']];
        }
        $odd = mt_rand(0, count($controls) - 1);
        foreach ($controls as $k => [$move, $channel]) {
            $this->settle($move, $channel);
        }
        $this->rest();
        foreach ($controls as $k => [$move, $channel]) {
            $this->move($move, $channel, $k === $odd ? $this->kind : self::SOUND, $controls[($k + 1) % count($controls)][1]);
        }
        $this->rest();
        $log = $this->sampled($this->ms);
        $in = (object) ($this->isPrompted ? ['log' => $log, 'script' => $this->script, 'prompts' => $this->prompts] : ['log' => $log, 'script' => $this->script]);

        return [$in, (object) ['moves' => $this->moves, 'channels' => array_values($this->channels)]];
    }

    private function rest(): void
    {
        $this->ask((object) ['move' => 'rest']);
        $this->moves[] = new \stdClass;
        $this->ms += self::real(1800.0, 2400.0);
    }

    private function ask(\stdClass $move): void
    {
        $this->script[] = $move;
        $this->prompts[] = (object) ['move' => count($this->script) - 1, 't_ms' => round($this->ms)];
    }

    /** Where a control stands before anybody moves it. */
    private function settle(\stdClass $move, int $channel): void
    {
        $isReversed = mt_rand(0, 1) === 1;
        [$low, $high] = [self::real(985.0, 1080.0), self::real(1925.0, 2015.0)];
        $mid = $this->frames[$channel][0][1];
        $this->channels[$channel] = (object) ['channel' => $channel, 'of_move' => -1, 'low' => $low, 'high' => $high, 'mid' => $mid, 'isReversed' => $isReversed];
        if (($move->letter ?? '') === 'T' || $move->move === 'switch') {
            $this->frames[$channel][0][1] = $isReversed ? $high : $low;
        }
        if ($move->move === 'knob') {
            $this->frames[$channel][0][1] = self::real($low + 90.0, $high - 90.0);
        }
    }

    private function move(\stdClass $move, int $channel, string $kind, int $other): void
    {
        $this->ask($move);
        $k = count($this->script) - 1;
        $told = $this->channels[$channel];
        if ($kind === self::SKIPPED) {
            $this->ms += self::real(1500.0, 3000.0);
            $this->moves[] = (object) ['state' => ['not_seen', 'unclear']];
            $this->channels[$channel] = (object) ['channel' => $channel, 'of_move' => $k];

            return;
        }
        $this->ms += mt_rand(0, 4) === 0 ? -self::real(0.0, 150.0) : self::real(100.0, 600.0);
        $begins = $this->ms;
        $also = [];
        if ($kind === self::DRAGGED) {
            $also = [$other];
            $at = $this->frames[$other][count($this->frames[$other]) - 1][1];
            $this->to($other, $at + ($at > 1500 ? -1 : 1) * self::real(120.0, 350.0), 200.0);
            $this->ms = $begins;
        }
        $this->make($move, $channel, $told);
        if ($kind === self::TWICE) {
            $this->ms += self::real(250.0, 900.0);
            $begins = $this->ms;
            $this->make($move, $channel, $told);
        }
        $ends = $this->ms;
        if ($kind === self::DRAGGED) {
            $this->to($other, $at, 200.0);
            $this->ms = max($this->ms, $ends);
        }
        if (mt_rand(0, 5) === 0 && $kind === self::SOUND) {
            $this->bump($channel);
        }
        $this->ms += self::real(250.0, 2000.0);
        $states = match ($kind) {
            self::TWICE => ['twice', 'unclear'],
            self::SOUND => ['found'],
            default => ['found', 'unclear', 'not_seen'],
        };
        // A knob may have stood near the end it was turned to first: that is no departure yet.
        $during = $move->move === 'knob' ? [] : ['during_ms' => [$begins, $ends]];
        $this->moves[] = (object) (['state' => $states, 'channel' => $channel, 'also' => $also] + $during);
        $this->channels[$channel] = $this->expected($move, $channel, $told, $k);
    }

    private function make(\stdClass $move, int $channel, \stdClass $told): void
    {
        [$first, $second] = $told->isReversed ? [$told->low, $told->high] : [$told->high, $told->low];
        if ($move->move === 'switch') {
            $levels = $this->levels($told, $move->positions);
            foreach ([...array_slice($levels, 1), $levels[0]] as $p => $us) {
                if ($p > 0 && $p < $move->positions - 1 && mt_rand(0, 7) === 0) {
                    $this->jump($channel, $levels[$p + 2] ?? $us);
                    $this->ms += self::real(40.0, 70.0);
                }
                $this->jump($channel, $us);
                $this->ms += $p === $move->positions - 1 ? 0.0 : self::real(350.0, 700.0);
            }
        } elseif ($move->move === 'knob') {
            foreach ([$told->high, $told->low, $told->mid] as $us) {
                $this->to($channel, $us, self::real(150.0, 500.0));
                $this->ms += $us === $told->mid ? 0.0 : self::real(300.0, 1200.0);
            }
        } elseif ($move->letter === 'T') {
            $this->to($channel, $told->isReversed ? $told->low : $told->high, self::real(100.0, 500.0));
            $this->ms += self::real(300.0, 1200.0);
            $this->to($channel, $told->isReversed ? $told->high : $told->low, self::real(100.0, 500.0));
        } else {
            foreach ([$first, $second] as $us) {
                $this->to($channel, $us, self::real(100.0, 500.0));
                $this->ms += self::real(300.0, 1200.0);
            }
            $this->let($channel, $told->mid, ($first + $second) / 2 - $second > 0 ? 1 : -1);
        }
    }

    /** @return list<float> */
    private function levels(\stdClass $told, int $positions): array
    {
        $levels = [];
        for ($p = 0; $p < $positions; $p++) {
            $levels[] = $told->low + ($told->high - $told->low) * $p / ($positions - 1);
        }

        return $told->isReversed ? array_reverse($levels) : $levels;
    }

    private function to(int $channel, float $us, float $ms): void
    {
        $this->frames[$channel][] = [$this->ms, $us, $ms];
        $this->ms += $ms;
    }

    private function jump(int $channel, float $us): void
    {
        $this->frames[$channel][] = [$this->ms, $us, self::real(0.0, 12.0)];
        $this->ms += 12.0;
    }

    /** A spring overshoots and rings. */
    private function let(int $channel, float $mid, int $side): void
    {
        $this->to($channel, $mid + $side * self::real(0.0, 60.0), self::real(90.0, 200.0));
        $this->to($channel, $mid - $side * self::real(0.0, 20.0), 60.0);
        $this->to($channel, $mid, 60.0);
    }

    /** Another stick is touched, by less than a twentieth of its way. */
    private function bump(int $channel): void
    {
        $other = $channel === 1 ? 2 : 1;
        $at = $this->frames[$other][count($this->frames[$other]) - 1][1];
        $this->to($other, $at + self::real(-35.0, 35.0), 120.0);
        $this->to($other, $at, 120.0);
    }

    private function expected(\stdClass $move, int $channel, \stdClass $told, int $k): \stdClass
    {
        $ends = ['lo' => $told->low, 'hi' => $told->high];
        $held = (object) ['lo' => true, 'hi' => true];

        return (object) (['channel' => $channel, 'of_move' => $k] + match ($move->move) {
            'switch' => ['kind' => 'switch', 'id' => $move->id, 'levels' => $this->levels($told, $move->positions), 'reversed' => null] + $ends,
            'knob' => ['kind' => 'knob', 'id' => $move->id, 'held' => $held, 'mid' => $told->mid, 'reversed' => null] + $ends,
            default => ['kind' => 'stick', 'letter' => $move->letter, 'held' => $held, 'reversed' => $told->isReversed] + $ends + ($move->letter === 'T' ? [] : ['mid' => $told->mid]),
        });
    }

    /** @return list<\stdClass> */
    private function sampled(float $endMs): array
    {
        [$rows, $frozen, $last] = [[], null, []];
        if (in_array($this->kind, [self::FROZEN, self::REPLACED], true)) {
            $from = self::real(500.0, 1200.0);
            $frozen = [$from, $from + self::real(300.0, 700.0)];
        }
        $values = [];
        for ($ms = 0.0; $ms < $endMs; $ms += $this->period * self::real(0.85, 1.15) * (mt_rand(0, 60) === 0 ? 2 : 1)) {
            $isOut = $frozen !== null && $ms >= $frozen[0] && $ms <= $frozen[1];
            if (! $isOut || ($this->kind === self::REPLACED && $last !== 'out')) {
                $values = [];
                for ($channel = 1; $channel <= $this->count; $channel++) {
                    $us = $isOut ? [1100.0, 1900.0, 1300.0][$channel % 3] : $this->at($channel, $ms) + $this->sigma * self::normal();
                    $values[] = $this->step === 0.0 ? round($us, 3) : round($us / $this->step) * $this->step;
                }
                $last = $isOut ? 'out' : '';
            }
            $rows[] = (object) ['t_ms' => round($ms, 1), 'us' => $values];
        }

        return $rows;
    }

    private function at(int $channel, float $ms): float
    {
        $us = 1500.0;
        foreach ($this->frames[$channel] as [$from, $to, $lasts]) {
            if ($ms < $from) {
                break;
            }
            $share = $lasts <= 0.0 ? 1.0 : min(1.0, ($ms - $from) / $lasts);
            $us += ($to - $us) * $share * $share * (3 - 2 * $share);
        }

        return $us;
    }

    private static function real(float $low, float $high): float
    {
        return $low + ($high - $low) * mt_rand() / mt_getrandmax();
    }

    private static function normal(): float
    {
        return sqrt(-2 * log(max(1e-12, self::real(0.0, 1.0)))) * cos(2 * M_PI * self::real(0.0, 1.0));
    }
}
