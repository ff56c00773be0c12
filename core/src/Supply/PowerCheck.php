<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/** A supply against the devices it feeds: voltages at full and flat, and the current it must give. */
final readonly class PowerCheck
{
    /** @param  list<Device>  $devices */
    public function __construct(private Supply $supply, private array $devices, private ?float $supplyMa = null)
    {
    }

    /** @return list<FedDevice> */
    public function devices(): array
    {
        return array_map(fn (Device $device): FedDevice => new FedDevice($device->name, self::voltage($device->name, $device->range, $this->supply)), $this->devices);
    }

    public function load(): SupplyLoad
    {
        return new SupplyLoad(array_sum(array_map(static fn (Device $device): float => $device->range->ma ?? 0.0, $this->devices)), $this->supplyMa);
    }

    public static function voltage(string $name, SupplyRange $range, Supply $supply): ?Finding
    {
        return match ($range->fault($supply)) {
            Code::P1 => new Finding(Code::P1, Severity::Stop, sprintf('%s would get %g V; it takes at most %g V.', $name, $supply->full, $range->max),
                found: "$supply->full V", expected: $range->label(), why: 'Too much voltage destroys it.', change: 'Use a pack or a supply with a lower full voltage.'),
            Code::P2 => new Finding(Code::P2, Severity::Fix, sprintf('%s would get only %g V near the end of the pack; it needs %g V.', $name, $supply->low, $range->min),
                found: "$supply->low V", expected: $range->label(), why: 'It resets in use when the pack runs down.', change: 'Use a pack with more cells, or land earlier: set the alarm above its lowest voltage.'),
            default => null,
        };
    }
}
