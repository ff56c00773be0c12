<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

/** A way in which two neighbours join, and what it costs. */
final readonly class CouplingWay
{
    /**
     * @param  string  $via  Format id, or family/variant.
     * @param  int  $settings  How many things are to be set for it in the boxes.
     * @param  int  $fixes  How many findings are to be mended with it.
     * @param  bool|null  $bringsDataBack  Null: through the air, where the link decides.
     */
    public function __construct(public string $via, public string $label, public float $meanMs, public int $settings, public int $fixes, public ?bool $bringsDataBack, public bool $chosen)
    {
    }
}
