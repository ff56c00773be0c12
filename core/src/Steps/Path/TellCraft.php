<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\CraftKind;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** What kind of craft it is, or what it is in a few words: both may turn out otherwise than they were told at first. */
final readonly class TellCraft implements Intent
{
    /** @param  string|null  $note  Null: stays; empty: taken back. */
    public function __construct(private ?CraftKind $kind, private ?string $note)
    {
    }

    public static function read(Node $told): self
    {
        return new self(CraftKind::tryFrom($told->textOrNull('kind') ?? ''), $told->textOrNull('note'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $note = $this->note === null ? null : trim($this->note);
        $set = ($this->kind === null ? [] : ['craft.kind' => $this->kind->value]) + ($note === null || $note === '' ? [] : ['craft.note' => $note]);
        $words = [...($this->kind === null ? [] : ["It is a {$this->kind->value}"]), ...($note === null ? [] : [$note === '' ? 'What it is: not said' : "It is: $note"])];

        return new Deed(RigPatch::of($set, $note === '' ? ['craft.note'] : []), implode('; ', $words));
    }
}
