<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

/** A setting that proofs are made with, by the name it has in documents. */
enum Dependency: string
{
    case Order = 'order';
    case ControllerOrder = 'controller_order';
    case Remap = 'remap';
    case Directions = 'directions';
    case Ends = 'ends';
    case Weights = 'weights';
    case Travel = 'travel';
    case Receiver = 'receiver';
    case ReceiverNumber = 'receiver_number';
    case Module = 'module';
    case Controller = 'controller';
    case Craft = 'craft';
    case Variant = 'variant';
    case ChannelMode = 'channel_mode';
    case Plugs = 'plugs';
    case Links = 'links';
    case Channels = 'channels';
    case Switches = 'switches';
    case Windows = 'windows';
    case Thresholds = 'thresholds';
    case PowerMw = 'power_mw';
    case Pack = 'pack';
    case CraftPack = 'craft_pack';
    case Supplies = 'supplies';
    case Antenna = 'antenna';
    case Failsafe = 'failsafe';

    /** As it stands in a sentence. */
    public function label(): string
    {
        return match ($this) {
            self::Order => "the handset's order",
            self::ControllerOrder => "the controller's order",
            self::Remap => 'remapping in the module',
            self::Directions => 'a direction',
            self::Ends => 'the ends of a channel',
            self::Weights => 'a weight',
            self::Travel => 'an end point or a sub-trim',
            self::Receiver => 'the receiver',
            self::ReceiverNumber => 'the receiver number',
            self::Module => 'the module',
            self::Controller => 'the controller',
            self::Craft => 'what the chain ends in',
            self::Variant => 'the protocol',
            self::ChannelMode => 'how many channels are sent',
            self::Plugs => 'where the plugs go',
            self::Links => 'the path',
            self::Channels => 'which function rides on which channel',
            self::Switches => 'a switch',
            self::Windows => 'a window in the controller',
            self::Thresholds => 'a threshold in the controller',
            self::PowerMw => 'the power set',
            self::Pack => "the handset's pack",
            self::CraftPack => 'the pack in the craft',
            self::Supplies => 'what feeds a box',
            self::Antenna => 'where the antenna sits',
            self::Failsafe => 'what is set for the loss of the link',
        };
    }

    /** @return list<string> Where in the document it is written, to find out when it was changed. */
    public function places(): array
    {
        return match ($this) {
            self::Directions, self::Ends, self::Weights, self::Travel => ['settings.channels'],
            self::Receiver, self::Module, self::Controller, self::Craft => ['chain'],
            self::Channels => ['craft.functions'],
            self::Variant => ['settings.variant', 'settings.links'],
            default => ["settings.$this->value"],
        };
    }
}
