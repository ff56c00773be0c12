<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Line\LineChoice;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Rig\HandsetTraits;
use Linguator\Core\Supply\Chemistry;
use Linguator\Core\Supply\PackChoice;
use Linguator\Core\Wire\WireFormat;
use Linguator\Core\Wire\WireFormats;

/** Everything a screen offers to choose from that is the same for every rig and every bench: no screen has a list of its own. */
final readonly class Choices implements \JsonSerializable
{
    public function jsonSerialize(): \stdClass
    {
        $cards = array_values(array_filter(FormatCards::all(), static fn (FormatCard $card): bool => $card->reportedAs === $card->id));

        return (object) [
            'packs' => (object) ['handset' => PackChoice::inHandsets(), 'craft' => PackChoice::inCraft()],
            'chemistries' => array_map(static fn (Chemistry $one): Choice => new Choice($one->value, $one->label()), Chemistry::cases()),
            'wire_formats' => array_map(static fn (WireFormat $format): Choice => new Choice($format->id, $format->name), array_values(WireFormats::shipped())),
            'serial_formats' => array_map(static fn (FormatCard $card): Choice => new Choice($card->id, $card->name), $cards),
            'lines' => LineChoice::among($cards),
            'orders' => array_map(static fn (ChannelOrder $order): string => $order->toString(), ChannelOrder::all()),
            'stick_modes' => HandsetTraits::stickModes(),
            'landmarks' => (object) ['lo' => Pulse::LOW_US, 'mid' => Pulse::CENTRE_US, 'hi' => Pulse::HIGH_US],
        ];
    }
}
