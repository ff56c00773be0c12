<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

use Linguator\Core\Document\Excerpt;

final class InvalidChannelOrder extends \InvalidArgumentException
{
    public static function notAPermutation(string $found): self
    {
        return new self('Channel order "'.Excerpt::text($found).'" must name each of A, E, T, R once.');
    }
}
