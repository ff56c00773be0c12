<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Wiring;

/** What the wiring step shows. */
final readonly class WiringView
{
    /**
     * @param  list<Wire>  $wires
     * @param  list<PowerRow>  $power
     * @param  list<AntennaNote>  $antennas
     * @param  list<AntennaPlace>  $antennaPlaces  Where the receiver's may sit; none: there is no receiver.
     * @param  list<string>  $switchOn  The sequence of switching on and off.
     * @param  string  $fingerprint  Changes when any wire of the table does.
     * @param  bool  $wired  Somebody has said that all of it is wired like this.
     */
    public function __construct(public array $wires, public array $power, public array $antennas, public array $antennaPlaces, public array $switchOn, public string $fingerprint, public bool $wired, public RangeMeaning $range)
    {
    }
}
