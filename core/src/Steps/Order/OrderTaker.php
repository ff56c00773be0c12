<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Chain\ChannelTaker;
use Linguator\Core\Channel\ReaderKind;

/** What takes the channels, and in which order. */
final readonly class OrderTaker
{
    public function __construct(public ReaderKind $kind, public string $name, public string $order, public bool $oneWireEach, public bool $unlabelled)
    {
    }

    public static function of(ChannelTaker $taker): self
    {
        return new self($taker->controller === null ? ReaderKind::Pins : ReaderKind::Controller, $taker->name(), $taker->order->toString(), $taker->byPwm, $taker->isUnlabelled);
    }
}
