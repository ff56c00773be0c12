<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

/** One box on the way of a loss. */
final readonly class LossStage
{
    /**
     * @param  string  $box  Its name.
     * @param  string  $says  What it does, as the rest of a sentence.
     * @param  Flow|null  $flow  What comes out of it; null: it is the end.
     * @param  bool  $isHarmful  The motor goes on with nobody in command.
     */
    public function __construct(public string $box, public string $says, public ?Flow $flow, public bool $isHarmful = false)
    {
    }
}
