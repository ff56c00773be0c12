<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\Letter;

/** One stick: what moved, and what should have. */
final readonly class OrderCheckRow
{
    /**
     * @param  int|null  $channel  That moved; null: none did.
     * @param  Letter|null  $moved  What that is at the reader; null: nothing, or none of the four.
     */
    public function __construct(public Letter $letter, public ?int $channel, public int $expected, public ?Letter $moved, public ?bool $reversed, public bool $ok)
    {
    }
}
