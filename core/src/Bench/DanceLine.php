<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** One thing that a dance showed, with what would be written of it. */
final readonly class DanceLine
{
    /**
     * @param  string  $key  By which it is chosen.
     * @param  string  $step  Where it is written.
     * @param  string  $writes  What would be written.
     * @param  int|null  $move  Of the script, from 0; null: it rests on several.
     * @param  string|null  $doubt  What somebody should nod to first; null: nothing.
     * @param  bool  $isProof  Somebody has to be named who saw it.
     * @param  string|null  $needs  The line that it follows from; null: none.
     */
    public function __construct(public string $key, public string $step, public string $name, public string $writes, public ?int $move, public ?string $doubt = null, public bool $isProof = false, public ?string $needs = null)
    {
    }
}
