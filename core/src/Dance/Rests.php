<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Quantity\Middle;

/** The times in which nobody moved anything: the script's rests, and any second without movement. */
final readonly class Rests
{
    private const LEAST_MS = 1000.0;

    /** A rest that was asked for counts from this long on (ms). */
    private const ASKED_LEAST_MS = 200.0;

    /** So long after a way (ms) something may still ring. */
    private const SETTLES_MS = 60.0;

    /** Steps above this share of σ are counted as they are: the median of deviations sees only the steps. */
    private const COARSE = 0.4;

    /** @var list<array{float, float}> From and to, ms. */
    private array $stretches;

    /**
     * @param  list<Way>  $ways  Of all channels.
     * @param  list<Prompt>  $asked  Prompts of rests.
     */
    public function __construct(array $ways, array $asked, float $beginMs, float $endMs)
    {
        $idle = self::idle($ways, $beginMs, $endMs);
        $long = array_filter($idle, static fn (array $one): bool => $one[1] - $one[0] >= self::LEAST_MS);
        foreach ($asked as $prompt) {
            foreach ($idle as [$from, $to]) {
                if ($to - $from < self::LEAST_MS && $prompt->shareOf($from, $to) >= self::ASKED_LEAST_MS) {
                    $long[] = [max($from, $prompt->ms), min($to, $prompt->endMs)];
                }
            }
        }
        $this->stretches = array_values($long);
    }

    /** The median over all rests, µs. */
    public function middle(Line $line): float
    {
        return self::median($this->values($line, $line->plateaus));
    }

    /** The median over all rests in which it stood about where this way left from, µs: a stick that is held somewhere, however long, is not at rest there. */
    public function home(Way $way): float
    {
        $isHome = static fn (Plateau $plateau): bool => abs($plateau->us - $way->home->us) <= $way->line->leavesUs();

        return self::median($this->values($way->line, array_values(array_filter($way->line->plateaus, $isHome))));
    }

    /** @param  list<non-empty-list<float>>  $rests */
    private static function median(array $rests): float
    {
        $values = array_merge(...$rests);

        return $values === [] ? 0.0 : Middle::of($values);
    }

    /** µs, each rest against its own median. */
    public function noise(Line $line): float
    {
        $residuals = [];
        foreach ($this->values($line, $line->plateaus) as $values) {
            $middle = Middle::of($values);
            foreach ($values as $us) {
                $residuals[] = $us - $middle;
            }
        }
        if ($residuals === []) {
            return 0.0;
        }
        [$spread, $deviation] = [Middle::spread($residuals), Middle::deviation($residuals)];

        return $spread === 0.0 || self::step($line) > self::COARSE * $deviation ? $deviation : $spread;
    }

    /** The smallest difference from one value of a channel to the next, µs. */
    private static function step(Line $line): float
    {
        [$step, $before] = [INF, $line->values[0] ?? 0.0];
        foreach ($line->values as $us) {
            $difference = abs($us - $before);
            $step = $difference > 0.0 && $difference < $step ? $difference : $step;
            $before = $us;
        }

        return $step;
    }

    /**
     * @param  list<Plateau>  $plateaus  Where it stays.
     * @return list<non-empty-list<float>> Of each rest, where this channel stays; of all that it stays, where there is no rest.
     */
    private function values(Line $line, array $plateaus): array
    {
        $all = [];
        foreach ($plateaus as $plateau) {
            foreach ($this->stretches as [$from, $to]) {
                $values = self::between($line, $plateau, $from, $to);
                if ($values !== []) {
                    $all[] = $values;
                }
            }
        }
        if ($all !== []) {
            return $all;
        }
        foreach ($plateaus as $plateau) {
            $values = self::between($line, $plateau, -INF, INF);
            if ($values !== []) {
                $all[] = $values;
            }
        }

        return $all;
    }

    /** @return list<float> */
    private static function between(Line $line, Plateau $plateau, float $from, float $to): array
    {
        if ($plateau->toMs < $from || $plateau->fromMs > $to) {
            return [];
        }
        $first = $plateau->fromMs >= $from ? $plateau->first : self::rowAt($line, $plateau, $from);
        for ($last = $first; $last <= $plateau->last && $line->times[$last] <= $to; $last++);

        return array_slice($line->values, $first, $last - $first);
    }

    /** The first row of a plateau at this time or later. */
    private static function rowAt(Line $line, Plateau $plateau, float $ms): int
    {
        [$low, $high] = [$plateau->first, $plateau->last];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $line->times[$middle] < $ms ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low;
    }

    /**
     * @param  list<Way>  $ways
     * @return list<array{float, float}>
     */
    private static function idle(array $ways, float $beginMs, float $endMs): array
    {
        $busy = array_map(static fn (Way $way): array => [$way->home->toMs, $way->end->fromMs + self::SETTLES_MS], $ways);
        sort($busy);
        [$idle, $at] = [[], $beginMs];
        foreach ($busy as [$from, $to]) {
            if ($from > $at) {
                $idle[] = [$at, $from];
            }
            $at = max($at, $to);
        }

        return $at < $endMs ? [...$idle, [$at, $endMs]] : $idle;
    }
}
