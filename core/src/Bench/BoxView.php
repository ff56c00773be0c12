<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Kind;
use Linguator\Core\Rig\BoxLine;
use Linguator\Core\Rig\RigDocument;

/** A box of the chain, with what matters of it in one line. */
final readonly class BoxView
{
    private function __construct(public string $id, public string $name, public Kind $kind, public string $line)
    {
    }

    public static function of(Box $box, RigDocument $rig): self
    {
        return new self($box->id(), $box->name(), $box->kind(), BoxLine::of($box, $rig));
    }
}
