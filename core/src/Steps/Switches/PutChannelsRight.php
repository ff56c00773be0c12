<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Channel\Move;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** The fewest functions move to other channels, so that none shares one or sits on a reserved one. */
final readonly class PutChannelsRight implements Intent
{
    public static function read(Node $told): self
    {
        return new self;
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $proposal = (new ChannelRules($rig))->proposal() ?? throw DocumentError::at('', 'Nothing is wrong with the channels, or nothing fits.', 'nothing_to_move');
        [$functions, $switches] = [Items::of($rig, 'craft.functions'), Items::of($rig, 'settings.switches')];
        foreach ($proposal->moves as $move) {
            $isMoved = static fn (Node $item): bool => $item->text('function') === $move->function;
            [$functions, $switches] = [$functions->changed($isMoved, ['channel' => $move->to]), $switches->changed($isMoved, ['channel' => $move->to])];
        }
        $words = implode(', ', array_map(static fn (Move $move): string => "$move->function from channel $move->from to $move->to", $proposal->moves));

        return new Deed(RigPatch::of($functions->set() + ($rig->switches() === [] ? [] : $switches->set())), "Channels put right: $words");
    }
}
