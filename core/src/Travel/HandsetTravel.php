<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\Node;

/** What a handset allows: how far, in which steps, and how its sub-trim works. */
final readonly class HandsetTravel
{
    public function __construct(
        public float $maxPct,
        public float $stepPct,
        public SubtrimModel $model,
        public float $subtrimStep,
        public float $usPerUnit = 1.0,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        return new self(
            $node->number('max_pct'),
            $node->number('step_pct'),
            SubtrimModel::from($node->text('subtrim_model')),
            $node->number('subtrim_step'),
            $node->number('subtrim_us_per_unit', 1.0),
        );
    }

    public function with(SubtrimModel $model): self
    {
        return new self($this->maxPct, $this->stepPct, $model, $this->subtrimStep, $this->usPerUnit);
    }
}
