<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** Channel values at one place of a chain. */
final readonly class Carried
{
    /**
     * @param  list<float>  $us  What is here now, from channel 1 on.
     * @param  list<float>  $last  What would be here if every link were up: what a box repeats that goes on with its last values.
     * @param  bool|null  $isSilent  Nothing comes; null: nobody knows whether it comes.
     * @param  bool  $isFlagged  The format's flag for a lost link is up.
     * @param  bool  $everCame  Whether there are last values at all.
     */
    public function __construct(public array $us, public array $last, public ?bool $isSilent = false, public bool $isFlagged = false, public bool $everCame = true)
    {
    }

    /** @param  \Closure(list<float>): list<float>  $change */
    public function each(\Closure $change): self
    {
        return new self($change($this->us), $this->last === $this->us ? $change($this->us) : $change($this->last), $this->isSilent, $this->isFlagged, $this->everCame);
    }

    /** Nothing comes any more. */
    public function stopped(): self
    {
        return new self($this->last, $this->last, true, false, $this->everCame);
    }

    /** Nothing ever came. */
    public function never(): self
    {
        return new self($this->last, $this->last, true, false, false);
    }

    /** The last values, again and again. */
    public function held(?bool $isSilent = false): self
    {
        return $this->everCame ? new self($this->last, $this->last, $isSilent) : $this->never();
    }

    /** @param  list<float>  $us */
    public function replaced(array $us): self
    {
        return new self($us, $this->last);
    }

    public function unflagged(): self
    {
        return $this->isFlagged ? new self($this->us, $this->last, $this->isSilent, false, $this->everCame) : $this;
    }

    public function flagged(): self
    {
        return new self($this->last, $this->last, false, true);
    }
}
