<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Rig\StepKey;

/** The ten checks, in the order in which they are redone, with the settings each depends on (rule R). */
enum CheckKind: string
{
    case Bind = 'bind';
    case Order = 'order';
    case Direction = 'direction';
    case Travel = 'travel';
    case Switches = 'switches';
    case FailsafeSet = 'failsafe_set';
    case FailsafeTested = 'failsafe_tested';
    case Power = 'power';
    case Antenna = 'antenna';
    case Range = 'range';

    /** @return list<Dependency> */
    public function dependsOn(): array
    {
        return match ($this) {
            self::Bind => [Dependency::Receiver, Dependency::Variant, Dependency::ChannelMode, Dependency::ReceiverNumber],
            self::Order => [Dependency::Order, Dependency::ControllerOrder, Dependency::Remap, Dependency::Plugs],
            self::Direction => [Dependency::Order, Dependency::ControllerOrder, Dependency::Remap, Dependency::Directions, Dependency::Weights],
            self::Travel => [Dependency::Directions, Dependency::Travel, Dependency::Receiver, Dependency::Controller],
            self::Switches => [Dependency::Channels, Dependency::Switches, Dependency::Windows],
            self::FailsafeSet => [Dependency::Order, Dependency::ControllerOrder, Dependency::Remap, Dependency::Directions, Dependency::Travel, Dependency::Receiver, Dependency::ReceiverNumber],
            self::FailsafeTested => [...self::FailsafeSet->dependsOn(), Dependency::Failsafe, Dependency::Controller, Dependency::Windows, Dependency::Thresholds],
            self::Power => [Dependency::Pack, Dependency::CraftPack, Dependency::Supplies, Dependency::Receiver, Dependency::Module, Dependency::Craft],
            self::Antenna => [Dependency::Receiver, Dependency::Module, Dependency::Antenna],
            self::Range => [Dependency::Antenna, Dependency::Receiver, Dependency::Module, Dependency::PowerMw],
        };
    }

    /** Whether it proves something of this craft, its receiver, its servos and its aerials, and so says nothing of a second one flown from the same memory. */
    public function liesInHardware(): bool
    {
        return ! in_array($this, [self::Order, self::Switches], true);
    }

    /** Whether it is made for each hop of a relay. */
    public function isPerHop(): bool
    {
        return in_array($this, [self::Bind, self::FailsafeSet, self::FailsafeTested], true);
    }

    public function title(): string
    {
        return match ($this) {
            self::Bind => 'Bind',
            self::Order => 'Order',
            self::Direction => 'Directions',
            self::Travel => 'Travel and centre',
            self::Switches => 'Switches',
            self::FailsafeSet => 'Failsafe setting',
            self::FailsafeTested => 'Failsafe test',
            self::Power => 'Power',
            self::Antenna => 'Antennas',
            self::Range => 'Range check',
        };
    }

    /** The step of the rig where it is made; null: right here, at check-out. */
    public function step(): ?StepKey
    {
        return match ($this) {
            self::Bind => StepKey::Bind,
            self::Order => StepKey::Order,
            self::FailsafeSet, self::FailsafeTested => StepKey::Failsafe,
            default => null,
        };
    }

    /** What must be seen. */
    public function expected(): string
    {
        return match ($this) {
            self::Bind => 'the light changes when the handset goes off, and returns when it comes on',
            self::Order => 'each stick moves what it should',
            self::Direction => 'with the craft in front of you: right, up and forward move every surface and value the right way',
            self::Travel => 'every stick reaches its ends, rests in the middle, and no servo grinds',
            self::Switches => 'every position does what it should, and nothing else',
            self::FailsafeSet => 'set as recommended, with the settings as they are',
            self::FailsafeTested => 'the craft does what is written here',
            self::Power => 'full and flat pack both inside what every box takes; nothing gets hot',
            self::Antenna => 'fitted, whole, 50 mm clear of carbon and metal, two at right angles',
            self::Range => 'every control answers at the distance, craft in several attitudes, watched by a helper',
        };
    }
}
