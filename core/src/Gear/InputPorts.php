<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** Reads the list of a card's inputs. */
final class InputPorts
{
    /**
     * @param  list<mixed>  $ports
     * @return list<InputPort>
     */
    public static function fromList(array $ports): array
    {
        return array_map(InputPort::fromDocument(...), $ports, array_keys($ports));
    }
}
