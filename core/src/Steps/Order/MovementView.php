<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\MovementAnswer;

/** What moved sticks say of the order, before it is kept. */
final readonly class MovementView
{
    /**
     * @param  list<OrderCheckRow>  $rows
     * @param  string|null  $explanation  What would explain what was seen.
     * @param  MovementAnswer|null  $movement  Null: seen at the craft.
     */
    public function __construct(public array $rows, public bool $passes, public string $sentence, public ?string $explanation, public ?MovementAnswer $movement)
    {
    }
}
