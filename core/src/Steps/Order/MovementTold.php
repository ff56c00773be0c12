<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Capture\ChannelLogText;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\MovementAnalysis;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** What somebody tells of moved sticks, judged: by sight, or by a log of values. */
final readonly class MovementTold
{
    /** @param  MovementAnalysis|null  $movement  Null: seen at the craft. */
    private function __construct(public OrderCheck $check, public ?MovementAnalysis $movement)
    {
    }

    /**
     * @param  Node  $told  `moved` by stick letter; or `log`, a text, with the `sequence` of the sticks.
     *
     * @throws DocumentError if the order cannot be judged, or what is told makes no sense.
     */
    public static function judge(OrderReview $order, Node $told): self
    {
        $log = $told->textOrNull('log');
        if ($log === null) {
            return new self(OrderCheck::of($order, OrderObservation::fromSight($order, $told->node('moved')->value ?? new \stdClass)), null);
        }
        $movement = new MovementAnalysis(ChannelLogText::log($log), array_map(Letter::from(...), $told->texts('sequence')), $order->trace?->arriving());

        return new self(OrderCheck::of($order, OrderObservation::fromMovement($movement)), $movement);
    }

    public function shown(): MovementView
    {
        return new MovementView($this->check->rows, $this->check->passes(), $this->check->sentence(), $this->check->explanation(), $this->movement?->answer());
    }
}
