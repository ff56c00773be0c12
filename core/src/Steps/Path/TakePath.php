<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** This is the chain: boxes from the shelf, and how each joins the next. */
final readonly class TakePath implements Intent
{
    /**
     * @param  list<string>  $boxes  Ids of cards on the shelf, from handset to craft.
     * @param  list<mixed>  $links  As `plan` answers them.
     */
    public function __construct(private array $boxes, private array $links)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->texts('boxes'), $told->items('links'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $names = implode(' → ', array_map($occasion->shelf->nameOf(...), $this->boxes));

        return new Deed(RigPatch::of(['chain' => $this->boxes, 'settings.links' => $this->links]), "Path taken: $names");
    }
}
