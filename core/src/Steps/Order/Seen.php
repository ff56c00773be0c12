<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

/** What was seen when one stick was moved. */
final readonly class Seen
{
    /**
     * @param  int|null  $channel  That moved; null: none did.
     * @param  bool|null  $reversed  Null: not told.
     */
    public function __construct(public ?int $channel, public ?bool $reversed = null)
    {
    }
}
