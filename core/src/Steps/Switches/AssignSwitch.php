<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** A function is to be moved by a switch; it gets a channel if it has none. */
final readonly class AssignSwitch implements Intent
{
    /** @param  int|null  $channel  Null: the one it has, else the next free one. */
    public function __construct(private string $function, private ?int $channel = null)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('function'), $told->intOrNull('channel'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        if ($rig->switchOf($this->function) !== null) {
            throw DocumentError::at('function', "$this->function has a switch already.", 'assigned_already');
        }
        $known = $rig->functions()?->channelOf($this->function);
        $channel = $known ?? $this->channel ?? (new ChannelRules($rig))->nextFree()
            ?? throw DocumentError::at('channel', 'No channel is free; say on which one it is to ride.', 'no_free_channel');
        $set = Items::of($rig, 'settings.switches')->with(['function' => $this->function, 'channel' => $channel])->set();
        if ($known === null) {
            $set += Items::of($rig, 'craft.functions')->with(['function' => $this->function, 'channel' => $channel])->sortedBy('channel')->set();
        }

        return new Deed(RigPatch::of($set), "$this->function is to ride on channel $channel");
    }
}
