<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The handset sends its sticks in this order: four stick letters, channel 1 first. */
final readonly class SetHandsetOrder implements Intent
{
    public function __construct(private string $order)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('order'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        return new Deed(RigPatch::of(self::places($rig, $this->order)), "Handset order $this->order");
    }

    /** @return array<string, mixed> By place: the order, and the sticks told on channels, which move with it. */
    public static function places(RigDocument $rig, string $to): array
    {
        $order = ChannelOrder::tryOf($to);
        $functions = $rig->functions();

        return ['settings.order' => $to] + ($order === null || $functions === null || $functions->against($order) === [] ? [] : ['craft.functions' => $functions->following($order)->jsonSerialize()]);
    }
}
