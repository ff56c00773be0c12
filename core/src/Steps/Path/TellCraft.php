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

/** What kind of craft it is, what it is in a few words, or where its motor is off: each may turn out otherwise than it was told at first. */
final readonly class TellCraft implements Intent
{
    /**
     * @param  string|null  $note  Null: stays; empty: taken back.
     * @param  bool  $tellsMotor  Whether the place of the motor's off is told at all.
     * @param  string|null  $motorOff  `low` or `centre` of the throttle; null: as usual for its kind.
     */
    public function __construct(private ?CraftKind $kind, private ?string $note, private bool $tellsMotor = false, private ?string $motorOff = null)
    {
    }

    public static function read(Node $told): self
    {
        return new self(CraftKind::tryFrom($told->textOrNull('kind') ?? ''), $told->textOrNull('note'), $told->has('motor_off'), $told->textOrNull('motor_off'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $note = $this->note === null ? null : trim($this->note);
        $set = ($this->kind === null ? [] : ['craft.kind' => $this->kind->value]) + ($note === null || $note === '' ? [] : ['craft.note' => $note]);
        $clear = $note === '' ? ['craft.note'] : [];
        $words = [...($this->kind === null ? [] : ["It is a {$this->kind->value}"]), ...($note === null ? [] : [$note === '' ? 'What it is: not said' : "It is: $note"])];

        if ($this->tellsMotor) {
            $words[] = match ($this->motorOff) {
                null => 'The motor is off where it usually is',
                'centre' => 'The motor is off with the throttle in its middle',
                default => 'The motor is off with the throttle low',
            };
            $set += $this->motorOff === null ? [] : ['craft.motor_off' => $this->motorOff];
            $clear = $this->motorOff === null ? [...$clear, 'craft.motor_off'] : $clear;
        }

        return new Deed(RigPatch::of($set, $clear), implode('; ', $words));
    }
}
