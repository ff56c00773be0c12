<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/**
 * The joints along a whole chain, from the handset on: joint k ends in box k + 1.
 *
 * @implements \IteratorAggregate<int, Joint>
 */
final readonly class Joints implements \Countable, \IteratorAggregate
{
    public Boxes $boxes;

    /** @param  non-empty-list<Joint>  $all */
    public function __construct(public array $all)
    {
        $boxes = [$all[0]->from];
        foreach ($all as $joint) {
            $boxes[] = $joint->to;
        }
        $this->boxes = new Boxes($boxes);
    }

    public function first(): Joint
    {
        return $this->all[0];
    }

    public function last(): Joint
    {
        return $this->all[count($this->all) - 1];
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** @return \ArrayIterator<int, Joint> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->all);
    }
}
