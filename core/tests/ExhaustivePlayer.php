<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;

/**
 * How little a fault takes in the mean, by trying: at every point each of the most telling tests is followed to the end, and the one kept that
 * takes least over all faults that could still be there, in tests or in minutes. It knows what every fault will show on this rig, and must be as
 * sure as whoever asks by the rule. With more tests followed at each point it can only get shorter.
 */
final class ExhaustivePlayer
{
    private const SURE = 0.9;

    private const LEAST_GAIN = 0.05;

    /** @var array<string, array<string, array<string, float>>> Test, outcome, row: the likelihood. */
    private array $likelihoods = [];

    /** @var array<string, float> */
    private array $prior = [];

    /** @var array<string, array{cost: float, tests: int}> What is still to be made in sum over the faults that would be there, by what was seen. */
    private array $known = [];

    /**
     * @param  array<string, array<string, string>>  $shows  Of every fault what each test shows.
     * @param  list<string>  $causes  That weigh at first.
     * @param  int  $followed  How many tests are followed at each point.
     */
    public function __construct(private readonly array $shows, array $causes, private readonly int $followed, private readonly bool $countsMinutes = false)
    {
        $known = Knowledge::shipped();
        foreach ($causes as $cause) {
            $this->prior[$cause] = $known->causes[$cause]->weight;
        }
        $this->prior['*sound'] = $this->prior['*even'] = Knowledge::SOMETHING_ELSE_WEIGHT / 2;
        foreach (array_keys(array_values($shows)[0]) as $id) {
            $test = $known->tests[$id];
            foreach (array_map(strval(...), array_keys($test->outcomes)) as $outcome) {
                $this->likelihoods[$id][$outcome] = $this->row($test, $outcome, $causes);
            }
        }
    }

    /** @return array{cost: float, tests: float} In the mean over all faults: tests or minutes, and tests. */
    public function mean(): array
    {
        $all = $this->play([], $this->prior, array_keys($this->shows));

        return ['cost' => $all['cost'] / count($this->shows), 'tests' => $all['tests'] / count($this->shows)];
    }

    /**
     * @param  list<string>  $causes
     * @return array<string, float>
     */
    private function row(FaultTest $test, string $outcome, array $causes): array
    {
        $row = ['*sound' => Knowledge::soundShare($test, $outcome), '*even' => 1 / count($test->outcomes)];
        foreach ($causes as $cause) {
            $row[$cause] = Knowledge::shipped()->causes[$cause]->likelihood($test->id, $outcome);
        }

        return $row;
    }

    /**
     * @param  array<string, string>  $seen  Outcomes by test.
     * @param  array<string, float>  $weights
     * @param  list<string>  $left  Faults that show all of this.
     * @return array{cost: float, tests: int} Still to be made, in sum over these faults.
     */
    private function play(array $seen, array $weights, array $left): array
    {
        ksort($seen);
        $key = implode(' ', array_map(static fn (string $test, string $outcome): string => "$test=$outcome", array_keys($seen), $seen));

        return $this->known[$key] ??= $this->fewest($seen, $weights, $left);
    }

    /**
     * @param  array<string, string>  $seen
     * @param  array<string, float>  $weights
     * @param  list<string>  $left
     * @return array{cost: float, tests: int}
     */
    private function fewest(array $seen, array $weights, array $left): array
    {
        if ($this->isSure($weights)) {
            return ['cost' => 0.0, 'tests' => 0];
        }
        $fewest = null;
        foreach ($this->mostTelling($seen, $weights) as $test) {
            $way = ['cost' => count($left) * $this->price($test), 'tests' => count($left)];
            foreach ($this->split($left, $test) as $outcome => $those) {
                if ($fewest !== null && $way['cost'] >= $fewest['cost']) {
                    continue 2;
                }
                $then = $this->play($seen + [$test => (string) $outcome], $this->after($weights, $test, (string) $outcome), $those);
                $way = ['cost' => $way['cost'] + $then['cost'], 'tests' => $way['tests'] + $then['tests']];
            }
            $fewest = $fewest === null || $way['cost'] < $fewest['cost'] ? $way : $fewest;
        }

        return $fewest ?? ['cost' => 0.0, 'tests' => 0];
    }

    /** @param  array<string, float>  $weights */
    private function isSure(array $weights): bool
    {
        $rest = $weights['*sound'] + $weights['*even'];

        return max($rest, ...array_values(array_diff_key($weights, ['*sound' => 0, '*even' => 0]))) >= self::SURE * array_sum($weights);
    }

    private function price(string $test): float
    {
        return $this->countsMinutes ? Knowledge::shipped()->tests[$test]->minutes : 1.0;
    }

    /**
     * @param  list<string>  $left
     * @return array<string, list<string>>
     */
    private function split(array $left, string $test): array
    {
        $parts = [];
        foreach ($left as $fault) {
            $parts[$this->shows[$fault][$test]][] = $fault;
        }

        return $parts;
    }

    /**
     * @param  array<string, float>  $weights
     * @return array<string, float>
     */
    private function after(array $weights, string $test, string $outcome): array
    {
        foreach ($this->likelihoods[$test][$outcome] as $row => $likelihood) {
            $weights[$row] *= $likelihood;
        }

        return $weights;
    }

    /**
     * @param  array<string, string>  $seen
     * @param  array<string, float>  $weights
     * @return list<string> By bits.
     */
    private function mostTelling(array $seen, array $weights): array
    {
        $now = self::entropy($weights);
        $gains = [];
        foreach (array_diff_key($this->likelihoods, $seen) as $test => $outcomes) {
            $after = 0.0;
            foreach (array_keys($outcomes) as $outcome) {
                $then = $this->after($weights, $test, (string) $outcome);
                $after += array_sum($then) / array_sum($weights) * self::entropy($then);
            }
            if ($now - $after > self::LEAST_GAIN) {
                $gains[$test] = ($now - $after) / $this->price($test);
            }
        }
        arsort($gains);

        return array_slice(array_keys($gains), 0, $this->followed);
    }

    /** @param  array<string, float>  $weights */
    private static function entropy(array $weights): float
    {
        $sum = array_sum($weights);
        $weights['*'] = $weights['*sound'] + $weights['*even'];
        unset($weights['*sound'], $weights['*even']);
        $bits = 0.0;
        foreach ($weights as $weight) {
            $bits -= $weight > 0.0 ? $weight / $sum * log($weight / $sum, 2) : 0.0;
        }

        return $bits;
    }
}
