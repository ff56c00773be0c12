<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\Plain;
use Linguator\Core\Switching\WindowVerdict;

/** A window on a switch's channel, as it is set and as it is judged. µs. */
final readonly class WindowRow implements \JsonSerializable
{
    /**
     * @param  int  $position  In the rig's list of windows, from 0.
     * @param  int  $channel  As the controller counts.
     * @param  list<int>  $wanted  Positions that should be inside.
     */
    public function __construct(public int $position, public int $channel, public float $lo, public float $hi, public array $wanted, public WindowVerdict $verdict)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) (['position' => $this->position, 'channel' => $this->channel, 'lo' => $this->lo, 'hi' => $this->hi, 'wanted' => $this->wanted] + Plain::object($this->verdict));
    }
}
