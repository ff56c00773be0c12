<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/**
 * Every way in which two boxes join, earliest ports, radios and protocols first.
 *
 * @implements \IteratorAggregate<int, Joint>
 */
final readonly class Ways implements \IteratorAggregate
{
    /** What the cheapest of them costs, the box apart; zero where there is none. */
    public Cost $least;

    /** @param  list<Joint>  $all */
    private function __construct(public array $all)
    {
        $this->least = Cost::leastOf($all);
    }

    /**
     * Most pairs of a shelf do not join: they share one answer.
     *
     * @param  list<Joint>  $all
     */
    public static function of(array $all): self
    {
        /** @var self|null $none */
        static $none = null;

        return $all === [] ? $none ??= new self([]) : new self($all);
    }

    public function areNone(): bool
    {
        return $this->all === [];
    }

    /** @param  \Closure(Joint): bool  $which */
    public function any(\Closure $which): bool
    {
        return array_filter($this->all, $which) !== [];
    }

    /** @param  \Closure(Joint): bool  $which */
    public function where(\Closure $which): self
    {
        return self::of(array_values(array_filter($this->all, $which)));
    }

    /** @return \ArrayIterator<int, Joint> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->all);
    }
}
