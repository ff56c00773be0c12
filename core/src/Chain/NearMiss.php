<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** A chain that nearly joins. */
final readonly class NearMiss
{
    /**
     * @param  list<string>  $boxes  Ids, from the handset to the craft.
     * @param  list<Apart>  $misses
     */
    public function __construct(public array $boxes, public array $misses)
    {
    }
}
