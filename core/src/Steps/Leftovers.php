<?php

declare(strict_types=1);

namespace Linguator\Core\Steps;

use Linguator\Core\Rig\RigDocument;

/**
 * What of a step's work is not done, each open or left as it is.
 *
 * @implements \IteratorAggregate<int, Leftover>
 */
final readonly class Leftovers implements \IteratorAggregate
{
    /** @param  list<Leftover>  $all */
    private function __construct(public array $all)
    {
    }

    public static function of(RigDocument $rig, Leftover ...$leftovers): self
    {
        return new self(array_map(static fn (Leftover $leftover): Leftover => $leftover->in($rig), array_values($leftovers)));
    }

    public function and(self ...$more): self
    {
        return new self(array_merge($this->all, ...array_map(static fn (self $leftovers): array => $leftovers->all, array_values($more))));
    }

    public function open(): self
    {
        return new self(array_values(array_filter($this->all, static fn (Leftover $leftover): bool => $leftover->isOpen())));
    }

    public function left(): self
    {
        return new self(array_values(array_filter($this->all, static fn (Leftover $leftover): bool => ! $leftover->isOpen())));
    }

    public function isEmpty(): bool
    {
        return $this->all === [];
    }

    public function find(string $what): ?Leftover
    {
        foreach ($this->all as $leftover) {
            if ($leftover->what === $what) {
                return $leftover;
            }
        }

        return null;
    }

    /**
     * What is open, the worst first; else what was left; null: there is neither.
     *
     * @param  bool  $isCounted  Whether it says how much more of it there is.
     */
    public function standing(bool $isCounted = false): ?Standing
    {
        $open = $this->open()->all;
        usort($open, static fn (Leftover $a, Leftover $b): int => $a->state->urgency() <=> $b->state->urgency());
        if ($open !== []) {
            $note = $isCounted && count($open) > 1 ? rtrim($open[0]->sentence, '.').', and '.(count($open) - 1).' more.' : $open[0]->sentence;

            return $open[0]->state === StepState::Open ? Standing::open($note) : Standing::attention($note);
        }

        return $this->all === [] ? null : Standing::done('Left as it is: '.implode(' ', array_map(static fn (Leftover $leftover): string => $leftover->sentence, $this->all)));
    }

    /** @return \ArrayIterator<int, Leftover> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->all);
    }
}
