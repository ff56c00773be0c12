<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

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

    /** @return list<string> Names as `DependentSettings` knows them. */
    public function dependsOn(): array
    {
        return match ($this) {
            self::Bind => ['receiver', 'variant', 'channel_mode', 'receiver_number'],
            self::Order => ['order', 'controller_order', 'remap', 'plugs'],
            self::Direction => ['order', 'controller_order', 'remap', 'directions', 'weights'],
            self::Travel => ['directions', 'travel', 'receiver', 'controller'],
            self::Switches => ['channels', 'switches', 'windows'],
            self::FailsafeSet => ['order', 'controller_order', 'remap', 'directions', 'ends', 'receiver', 'receiver_number'],
            self::FailsafeTested => [...self::FailsafeSet->dependsOn(), 'failsafe', 'controller', 'windows', 'thresholds'],
            self::Power => ['pack', 'craft_pack', 'receiver', 'module', 'craft'],
            self::Antenna => ['receiver', 'module', 'antenna'],
            self::Range => ['antenna', 'receiver', 'module', 'power_mw'],
        };
    }

    /** Whether it is made for each hop of a relay. */
    public function isPerHop(): bool
    {
        return in_array($this, [self::Bind, self::FailsafeSet, self::FailsafeTested], true);
    }

    public function title(): string
    {
        return match ($this) {
            self::Bind => 'Bind proven',
            self::Order => 'Order',
            self::Direction => 'Directions',
            self::Travel => 'Travel and centre',
            self::Switches => 'Switches',
            self::FailsafeSet => 'Failsafe set',
            self::FailsafeTested => 'Failsafe tested',
            self::Power => 'Power',
            self::Antenna => 'Antennas',
            self::Range => 'Range check',
        };
    }

    /** The step of the rig where it is made; null: right here, at check-out. */
    public function step(): ?string
    {
        return match ($this) {
            self::Bind => 'bind',
            self::Order => 'order',
            self::FailsafeSet, self::FailsafeTested => 'failsafe',
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
