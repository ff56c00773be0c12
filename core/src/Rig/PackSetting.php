<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Supply\Pack;

/** A place of the document where a pack may stand. */
final readonly class PackSetting
{
    /**
     * @param  string  $place  `settings.pack` or `settings.craft_pack`.
     * @param  string  $said  What a pack there is called.
     * @param  string  $none  What it means that none is told.
     */
    public function __construct(private string $place, private string $said, private string $none)
    {
    }

    public function told(?Pack $pack): Deed
    {
        return $pack === null
            ? new Deed(RigPatch::of([], [$this->place]), $this->none)
            : new Deed(RigPatch::of([$this->place => $pack->document()]), "$this->said: {$pack->label()}");
    }
}
