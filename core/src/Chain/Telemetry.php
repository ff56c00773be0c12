<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Receiver;

/** How far data comes back: from the craft, from the last receiver only, or not at all. */
enum Telemetry: string
{
    case Full = 'full';
    case Link = 'link';
    case None = 'none';

    public function rank(): int
    {
        return match ($this) {
            self::Full => 0,
            self::Link => 1,
            self::None => 2,
        };
    }

    public static function of(Joints $joints): self
    {
        $behind = false;
        $full = $joints->last()->to instanceof Controller;
        $lastReceiver = ($joints->boxes->lastReceiverAt() ?? 1) - 1;
        foreach ($joints as $k => $joint) {
            $behind = $k > $lastReceiver;
            $broken = ($joint->to instanceof Receiver && $joint->to->telemetry !== true)
                || $joint->to instanceof Converter
                || (! $joint->isAir() && ! $joint->bringsDataBack());
            if ($broken && ! $behind) {
                return self::None;
            }
            $full = $full && ! $broken;
        }

        return $full ? self::Full : self::Link;
    }
}
