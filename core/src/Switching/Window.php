<?php

declare(strict_types=1);

namespace Linguator\Core\Switching;

/** A range in the controller, both edges inside (µs), and the switch positions that should be in it. */
final readonly class Window
{
    public const ARM = 'arm';

    public const RETURN = 'return';

    /** @param  list<int>  $wanted */
    public function __construct(public string $name, public float $lo, public float $hi, public array $wanted = [])
    {
    }

    public function contains(float $us): bool
    {
        return $us >= $this->lo && $us <= $this->hi;
    }

    /** Distance to the nearer edge (µs), negative outside. */
    public function margin(float $us): float
    {
        return min($us - $this->lo, $this->hi - $us);
    }
}
