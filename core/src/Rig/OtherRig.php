<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Another rig of the same handset, with the memory and the receiver number it is flown by. */
final readonly class OtherRig
{
    public function __construct(public string $name, public ?string $memory, public ?int $receiverNumber)
    {
    }
}
