<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\Node;

/** A stick with a spring that a dance has found already: where it rests and where its ends are. */
final readonly class KnownStick
{
    /**
     * @param  float  $firstUs  Where it goes up or right, µs.
     * @param  float  $secondUs  Where it goes down or left, µs.
     */
    private function __construct(public Letter $letter, public int $channel, private float $firstUs, private float $restUs, private float $secondUs)
    {
    }

    /** @param  Node  $told  As `ChannelRead` tells a channel; null where it is no stick with a spring whose ends are known. */
    public static function fromNode(Node $told): ?self
    {
        $letter = Letter::tryFrom($told->textOrNull('letter') ?? '');
        [$lo, $mid, $hi] = [$told->numberOrNull('lo'), $told->numberOrNull('mid'), $told->numberOrNull('hi')];
        if ($letter === null || $lo === null || $mid === null || $hi === null || $lo >= $mid || $mid >= $hi) {
            return null;
        }

        return $told->flagOrNull('reversed') === true ? new self($letter, $told->int('channel'), $lo, $mid, $hi) : new self($letter, $told->int('channel'), $hi, $mid, $lo);
    }

    /** Where it stands between its ends: 1 up or right, -1 down or left, 0 at rest. */
    public function shareOf(float $us): float
    {
        $toFirst = ($us - $this->restUs) / ($this->firstUs - $this->restUs);

        return $toFirst >= 0 ? $toFirst : -($us - $this->restUs) / ($this->secondUs - $this->restUs);
    }
}
