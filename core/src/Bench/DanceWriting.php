<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Rig\Intent;

/** A line with what is done where it is taken. */
final readonly class DanceWriting
{
    /** @param  \Closure(string): Intent  $intent  Of the name of who saw it. */
    public function __construct(public DanceLine $line, private \Closure $intent)
    {
    }

    public function by(string $name): Intent
    {
        return ($this->intent)($name);
    }
}
