<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** These boxes must be in the chain. */
final readonly class AskThrough implements Intent
{
    /** @param  list<string>  $boxes  Ids; none: whatever suits. */
    public function __construct(private array $boxes)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->texts('boxes'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $names = implode(', ', array_map($occasion->shelf->nameOf(...), $this->boxes));

        return new Deed(RigPatch::of(['path.through' => $this->boxes]), 'Must be in the chain: '.($names === '' ? 'whatever suits' : $names));
    }
}
