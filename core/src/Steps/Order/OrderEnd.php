<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

/** The handset and its order; null: not known. */
final readonly class OrderEnd
{
    public function __construct(public ?string $name, public ?string $order)
    {
    }
}
