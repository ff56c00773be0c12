<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\SettingsNow;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A receiver was set to this for the loss of its link; kept with the settings it was made with. */
final readonly class SetFailsafe implements Intent
{
    /**
     * @param  int  $hop  From 1.
     * @param  SetBy|null  $setBy  Null: not said.
     * @param  list<mixed>|null  $storedUs  µs or null, by channel as this receiver puts them out.
     */
    public function __construct(private int $hop, private FailsafeMode $mode, private ?SetBy $setBy = null, private ?array $storedUs = null)
    {
    }

    public static function read(Node $told): self
    {
        $setBy = $told->textOrNull('set_by');

        return new self($told->int('hop'), FailsafeMode::from($told->text('mode')), $setBy === null ? null : SetBy::from($setBy), $told->itemsOrNull('stored_us'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $hop = (new FailsafeReview($rig))->hop($this->hop);
        self::mustBeOneOf($this->mode, $hop->modes(), 'mode');
        if ($this->setBy !== null) {
            self::mustBeOneOf($this->setBy, $hop->ways(), 'set_by');
        }
        $entry = [
            'hop' => $this->hop,
            'mode' => $this->mode->value,
            'stored_us' => $this->mode === FailsafeMode::Stored ? $this->storedUs : null,
            'set_by' => $this->setBy?->value,
            'at' => $occasion->at,
            'made_with' => SettingsNow::of($rig)->record(CheckKind::FailsafeSet->dependsOn(), $this->hop),
        ];
        $set = Items::of($rig, 'settings.failsafe')->without(fn (Node $item): bool => $item->int('hop') === $this->hop)->with($entry)->sortedBy('hop');

        return new Deed($set->patch(), "Failsafe of hop $this->hop set: {$this->mode->value}");
    }

    /** @param  list<FailsafeMode|SetBy>|null  $choices  Null: not known, so anything may be. */
    private static function mustBeOneOf(FailsafeMode|SetBy $value, ?array $choices, string $path): void
    {
        if ($choices !== null && ! in_array($value, $choices, true)) {
            $names = implode(', ', array_map(static fn (FailsafeMode|SetBy $choice): string => $choice->value, $choices));
            throw DocumentError::at($path, "Found \"$value->value\"; this receiver has ".($names === '' ? 'none' : $names).'.', 'not_possible');
        }
    }
}
