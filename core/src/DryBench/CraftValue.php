<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** What a function of the craft gets. */
final readonly class CraftValue
{
    /**
     * @param  int|null  $channel  As the reader counts: of a controller its channel, of pins the pin; null: not known.
     * @param  float|null  $us  Null: nothing comes.
     * @param  float|null  $pct  On the handset's scale, its direction not undone.
     */
    public function __construct(public string $function, public ?int $channel, public ?float $us, public ?float $pct)
    {
    }
}
