<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Finding\Findings;

/** What a log of moved sticks says. */
final readonly class MovementAnswer
{
    /**
     * @param  string|null  $order  If all four letters were found on channels 1–4.
     * @param  list<MovedChannel>  $channels
     */
    public function __construct(public ?string $order, public array $channels, public Findings $findings)
    {
    }
}
