<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\Plug;
use Linguator\Core\Channel\StickWay;
use Linguator\Core\Proof\CheckState;

/** What the order step shows. */
final readonly class OrderView
{
    /**
     * @param  string|null  $unjudged  Why nothing can be said.
     * @param  bool|null  $correct  By the settings alone; null: not known.
     * @param  bool  $right  By the settings or by the plugs.
     * @param  list<OrderModule>  $modules
     * @param  list<StickWay>|null  $trace
     * @param  list<OfferedFix>  $fixes
     * @param  list<Plug>|null  $plugs  Null: not read by separate wires.
     * @param  list<Auxiliary>  $auxiliaries
     * @param  string|null  $disagrees  How the functions told and the order differ.
     * @param  string|null  $toldOrder  The order in which the four sticks were told, where that is another.
     */
    public function __construct(
        public ?string $unjudged,
        public ?bool $correct,
        public bool $right,
        public bool $byPlugs,
        public OrderEnd $handset,
        public ?OrderTaker $reader,
        public array $modules,
        public ?array $trace,
        public array $fixes,
        public ?array $plugs,
        public array $auxiliaries,
        public CheckState $proof,
        public ?string $disagrees,
        public ?string $toldOrder,
    ) {
    }
}
