<?php

declare(strict_types=1);

namespace Linguator\Core\Finding;

/**
 * What rules have found, in the order in which it is told.
 *
 * @implements \IteratorAggregate<int, Finding>
 */
final readonly class Findings implements \Countable, \IteratorAggregate, \JsonSerializable
{
    /** @param  list<Finding>  $all */
    private function __construct(public array $all)
    {
    }

    /** Rules that found nothing say null. */
    public static function of(?Finding ...$findings): self
    {
        return new self($findings === [] ? [] : array_values(array_filter($findings)));
    }

    public static function none(): self
    {
        /** @var self|null $none */
        static $none = null;

        return $none ??= new self([]);
    }

    public function and(self|Finding|null ...$more): self
    {
        $all = $this->all;
        foreach ($more as $one) {
            if ($one instanceof Finding) {
                $all[] = $one;
            } elseif ($one !== null && $one->all !== []) {
                array_push($all, ...$one->all);
            }
        }

        return count($all) === count($this->all) ? $this : new self($all);
    }

    /** @param  \Closure(Finding): bool  $which */
    public function where(\Closure $which): self
    {
        return new self(array_values(array_filter($this->all, $which)));
    }

    public function without(Code ...$codes): self
    {
        return $this->where(static fn (Finding $finding): bool => ! in_array($finding->code, $codes, true));
    }

    public function only(Code ...$codes): self
    {
        return $this->where(static fn (Finding $finding): bool => in_array($finding->code, $codes, true));
    }

    /** The first as bad as this; null: there is none. */
    public function first(Severity $severity): ?Finding
    {
        foreach ($this->all as $finding) {
            if ($finding->severity === $severity) {
                return $finding;
            }
        }

        return null;
    }

    /** The first that must be mended, the worst kind before the others; null: there is none. */
    public function toMend(): ?Finding
    {
        return $this->first(Severity::Stop) ?? $this->first(Severity::Fix);
    }

    public function has(Severity $severity): bool
    {
        return $this->first($severity) !== null;
    }

    public function countOf(Severity ...$severities): int
    {
        $count = 0;
        foreach ($this->all as $finding) {
            $count += in_array($finding->severity, $severities, true) ? 1 : 0;
        }

        return $count;
    }

    public function holds(Finding $finding): bool
    {
        return in_array($finding, $this->all, false);
    }

    public function isEmpty(): bool
    {
        return $this->all === [];
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** @return \Traversable<int, Finding> */
    public function getIterator(): \Traversable
    {
        return new \ArrayIterator($this->all);
    }

    /** @return list<Finding> */
    public function jsonSerialize(): array
    {
        return $this->all;
    }
}
