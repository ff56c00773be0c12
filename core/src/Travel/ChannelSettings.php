<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\Node;

/** What is set for one channel in the handset: end points in % and the sub-trim in its own unit. */
final readonly class ChannelSettings
{
    private const SAME = 1e-6;

    public function __construct(public float $loPct, public float $hiPct, public float $subtrim, public bool $reversed = false)
    {
    }

    /** As a handset comes: full ends, no sub-trim. */
    public static function delivered(): self
    {
        return new self(100.0, 100.0, 0.0);
    }

    public static function fromNode(Node $node): self
    {
        return new self($node->number('lo_pct'), $node->number('hi_pct'), $node->number('subtrim'));
    }

    /** The same ends and sub-trim, the direction turned round. */
    public function reversed(): self
    {
        return new self($this->loPct, $this->hiPct, $this->subtrim, ! $this->reversed);
    }

    public function equals(self $that): bool
    {
        return $this->reversed === $that->reversed
            && max(abs($this->loPct - $that->loPct), abs($this->hiPct - $that->hiPct), abs($this->subtrim - $that->subtrim)) < self::SAME;
    }
}
