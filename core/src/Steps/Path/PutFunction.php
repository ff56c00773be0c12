<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A function rides on a channel of the handset. */
final readonly class PutFunction implements Intent
{
    public function __construct(private string $function, private int $channel)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('function'), $told->int('channel'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $functions = Items::of($rig, 'craft.functions')
            ->put(fn (Node $item): bool => $item->text('function') === $this->function, ['channel' => $this->channel], ['function' => $this->function])
            ->sortedBy('channel');

        return new Deed($functions->patch(), "Channel $this->channel carries $this->function");
    }
}
