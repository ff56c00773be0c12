<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/**
 * Which causes are still possible after what was seen, and what to look at next (rules D): Bayes over the causes' weights and the likelihoods
 * of what was seen, the next test by expected bits a minute.
 */
final class Diagnosis
{
    /** So sure is sure enough to mend. */
    private const SURE = 0.9;

    /** A test that takes less away than this is not worth its time (bits). */
    private const LEAST_GAIN = 0.05;

    /** A cause that was mended may come back, but seldom. */
    private const MENDED = 0.1;

    /** What fits a cause: seen with at least this likelihood under it. */
    private const FITS = 0.3;

    /** @var array<string, Observation> By test; the last counts. */
    private readonly array $seen;

    private readonly Weights $weights;

    // What is asked twice of what does not change; false: not worked out yet.
    private NextTest|false|null $next = false;

    /**
     * @param  list<Observation>  $seen  In any order; of a test told twice the last counts, and what was measured goes before what was told.
     * @param  bool  $allowRisk  The precautions are taken.
     * @param  list<string>  $fixed  Causes mended already.
     * @param  list<string>  $impossible  Causes that this chain cannot have, beside what its parts rule out.
     */
    public function __construct(
        private readonly Knowledge $knowledge,
        array $seen,
        private readonly Parts $parts = new Parts,
        private readonly bool $allowRisk = false,
        private readonly array $fixed = [],
        private readonly array $impossible = [],
    ) {
        $last = [];
        foreach ([...array_filter($seen, static fn (Observation $one): bool => ! $one->isMeasured), ...array_filter($seen, static fn (Observation $one): bool => $one->isMeasured)] as $one) {
            $last[$one->test] = $one;
        }
        $this->seen = $last;
        $this->weights = $this->weigh();
    }

    /** @return non-empty-list<Suspect> The likeliest first. */
    public function suspects(): array
    {
        $shares = $this->weights->shares();
        $suspects = array_map(fn (string $cause, float $p): Suspect => new Suspect($cause, $p, $this->because($cause)), array_keys($shares), $shares);
        usort($suspects, static fn (Suspect $a, Suspect $b): int => $b->p <=> $a->p ?: $a->cause <=> $b->cause);

        // `something_else` is always among them.
        return $suspects === [] ? [new Suspect(Knowledge::SOMETHING_ELSE, 1.0, [])] : $suspects;
    }

    /** The best test that is left; null: none is worth its time. */
    public function next(): ?NextTest
    {
        return $this->next === false ? $this->next = $this->best() : $this->next;
    }

    public function isDone(): bool
    {
        return $this->isSure() || $this->next() === null;
    }

    private function best(): ?NextTest
    {
        $best = null;
        foreach ($this->open() as $test) {
            $gain = $this->gainOf($test);
            if ($gain > self::LEAST_GAIN && ($best === null || $gain / $test->minutes > $best->gainBits / $best->minutes)) {
                $best = new NextTest($test->id, $gain, $test->minutes, $test->risk);
            }
        }

        return $best;
    }

    /** Sure enough to mend. */
    public function isSure(): bool
    {
        return max([0.0, ...$this->weights->shares()]) >= self::SURE;
    }

    /** The expected drop of entropy (bits) if this test were made now. */
    public function gainOf(FaultTest $test): float
    {
        $after = 0.0;
        foreach (array_keys($test->outcomes) as $outcome) {
            $then = $this->weights->after(new Observation($test->id, (string) $outcome));
            $after += $then->sum() / $this->weights->sum() * $then->entropy();
        }

        return $this->weights->entropy() - $after;
    }

    /** How likely a test shows this, after what was seen. */
    public function chanceOf(FaultTest $test, string $outcome): float
    {
        return $this->weights->after(new Observation($test->id, $outcome))->sum() / $this->weights->sum();
    }

    /** The same once this was seen too. */
    public function after(Observation $one): self
    {
        return new self($this->knowledge, [...array_values($this->seen), $one], $this->parts, $this->allowRisk, $this->fixed, $this->impossible);
    }

    /** @return \Generator<FaultTest> Tests that this chain can have, that were not made, and that may be made. */
    private function open(): \Generator
    {
        foreach ($this->knowledge->tests as $test) {
            if (! isset($this->seen[$test->id]) && $this->parts->have($test->needs) && ($this->allowRisk || $test->risk === null)) {
                yield $test;
            }
        }
    }

    /** Prior times what was seen. */
    private function weigh(): Weights
    {
        $weights = Weights::before($this->knowledge, fn (string $cause): float => match (true) {
            in_array($cause, $this->impossible, true), ! $this->parts->have($this->knowledge->causes[$cause]->needs ?? null) => 0.0,
            in_array($cause, $this->fixed, true) => self::MENDED,
            default => 1.0,
        });
        foreach ($this->seen as $one) {
            $weights = $one->weighs() ? $weights->after($one) : $weights;
        }

        return $weights;
    }

    /** @return list<string> What was seen that this cause would show, and that a sound craft would not. */
    private function because(string $id): array
    {
        $cause = $this->knowledge->causes[$id] ?? null;
        if ($cause === null) {
            return [];
        }
        $because = [];
        foreach ($this->seen as $one) {
            $test = $this->knowledge->tests[$one->test];
            if ($one->weighs() && in_array($one->test, $cause->touches, true) && $cause->likelihood($one->test, $one->outcome) >= self::FITS) {
                $because[] = "$test->asks ".ucfirst($test->outcomes[$one->outcome]).'.';
            }
        }

        return $because;
    }
}
