<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Observation;

/**
 * How few minutes a game takes: asked test by test as `diagnose` would, and once more by whoever looks two tests ahead; the shorter of the two.
 */
final readonly class BestWay
{
    /** Of how many tests it is worked out what may follow. */
    private const CANDIDATES = 5;

    /**
     * @param  list<string>  $tests  In turn.
     * @param  bool  $isFound  Everything hidden was named in the end.
     */
    private function __construct(public float $minutes, public array $tests, public bool $isFound)
    {
    }

    public static function through(Game $game): self
    {
        $greedy = self::played($game, static fn (Diagnosis $diagnosis): ?string => $diagnosis->next()?->test);
        $ahead = self::played($game, static fn (Diagnosis $diagnosis, array $open): ?string => self::twoAhead($diagnosis, $open));

        return $ahead->isFound && (! $greedy->isFound || $ahead->minutes < $greedy->minutes) ? $ahead : $greedy;
    }

    /** @param  \Closure(Diagnosis, list<FaultTest>): (string|null)  $choose */
    private static function played(Game $game, \Closure $choose): self
    {
        [$minutes, $tests, $mended] = [0.0, [], []];
        while (count($mended) < count($game->hidden)) {
            $probe = $game->probe($mended);
            $seen = $game->complained($mended);
            do {
                $diagnosis = $game->diagnosis($seen, $mended);
                $open = array_values(array_filter($game->tests(), static fn (FaultTest $test): bool => ! in_array($test->id, array_map(static fn (Observation $one): string => $one->test, $seen), true)));
                $next = $diagnosis->isSure() ? null : $choose($diagnosis, $open);
                if ($next !== null) {
                    $answer = $probe->make($next);
                    $seen[] = new Observation($next, $answer->outcome);
                    [$minutes, $tests] = [$minutes + $answer->minutes, [...$tests, $next]];
                }
            } while ($next !== null);
            $cause = $game->diagnosis($seen, $mended)->suspects()[0]->cause;
            if (! in_array($cause, $game->hidden, true) || in_array($cause, $mended, true)) {
                return new self($minutes, $tests, false);
            }
            $mended[] = $cause;
        }

        return new self($minutes, $tests, true);
    }

    /**
     * The test that tells most for its minutes together with the best one after it.
     *
     * @param  list<FaultTest>  $open
     */
    private static function twoAhead(Diagnosis $diagnosis, array $open): ?string
    {
        if ($diagnosis->next() === null) {
            return null;
        }
        $rates = [];
        foreach ($open as $test) {
            $rates[$test->id] = $diagnosis->gainOf($test) / $test->minutes;
        }
        arsort($rates);
        $tests = array_combine(array_map(static fn (FaultTest $test): string => $test->id, $open), $open);
        [$best, $most] = [null, -1.0];
        foreach (array_slice(array_keys($rates), 0, self::CANDIDATES) as $id) {
            $rate = self::rateWithNext($diagnosis, $tests[$id]);
            if ($rate > $most) {
                [$best, $most] = [$id, $rate];
            }
        }

        return $best;
    }

    /** Expected bits a minute of a test and the best one after each of its outcomes. */
    private static function rateWithNext(Diagnosis $diagnosis, FaultTest $test): float
    {
        [$bits, $minutes] = [$diagnosis->gainOf($test), $test->minutes];
        foreach (array_keys($test->outcomes) as $outcome) {
            $share = $diagnosis->chanceOf($test, (string) $outcome);
            $next = $share < 0.02 ? null : $diagnosis->after(new Observation($test->id, (string) $outcome))->next();
            [$bits, $minutes] = $next === null ? [$bits, $minutes] : [$bits + $share * $next->gainBits, $minutes + $share * $next->minutes];
        }

        return $bits / $minutes;
    }
}
