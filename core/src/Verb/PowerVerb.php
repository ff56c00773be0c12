<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Supply\Device;
use Linguator\Core\Supply\Pack;
use Linguator\Core\Supply\PowerCheck;
use Linguator\Core\Supply\SupplyRange;

/** Does this pack suit these devices, full and flat? */
final class PowerVerb implements Verb
{
    public static function name(): string
    {
        return 'power';
    }

    public static function summary(): string
    {
        return 'Holds a pack, full and flat, against what devices take, and their current against the supply.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $packNode = $node->node('pack');
        assert($packNode !== null);
        $pack = Pack::fromNode($packNode);
        $check = new PowerCheck($pack->supply(), self::devices($node), $node->numberOrNull('supply_ma'));

        return (object) [
            'full_v' => $pack->full(),
            'nominal_v' => $pack->nominal(),
            'low_v' => $pack->low(),
            'meter' => ['from_v' => $pack->meterFrom(), 'to_v' => $pack->full()],
            'devices' => $check->devices(),
            'load' => $check->load(),
        ];
    }

    /** @return list<Device> */
    private static function devices(Node $node): array
    {
        $devices = [];
        foreach ($node->nodes('devices') as $k => $device) {
            $range = SupplyRange::fromNode($device);
            if ($range->min !== null && $range->max !== null && $range->min > $range->max) {
                throw DocumentError::at("devices.$k.min_v", "Found $range->min V, which is above max_v ($range->max V); expected the lower limit below the upper.", 'upside_down');
            }
            $devices[] = new Device($device->text('name'), $range);
        }

        return $devices;
    }
}
