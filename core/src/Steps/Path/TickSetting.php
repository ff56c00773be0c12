<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Path;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SettingToMake;

/** A setting is made in its box, or is not after all. */
final readonly class TickSetting implements Intent
{
    public function __construct(private string $box, private string $setting, private bool $done)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('box'), $told->text('setting'), $told->flag('done'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $change = $this->find($rig) ?? throw DocumentError::at('setting', "Nothing is to be set under \"$this->setting\" in \"$this->box\".", 'no_such_setting');
        $place = "settings.done.$this->box/$this->setting";
        $words = "$change->boxName: $change->name $change->value";

        return $this->done
            ? new Deed(RigPatch::of([$place => $change->to]), "Set in the box: $words")
            : new Deed(RigPatch::of([], [$place]), "Not set after all: $words");
    }

    /** Of the whole chain, or of one coupling: those of the order are ticked there. */
    private function find(RigDocument $rig): ?SettingToMake
    {
        $review = new PathReview($rig);
        $all = [...$review->changes(), ...array_merge(...array_map(static fn (Coupling $coupling): array => $coupling->changes, $review->couplings()))];
        foreach ($all as $change) {
            if ($change->box === $this->box && $change->setting === $this->setting) {
                return $change;
            }
        }

        return null;
    }
}
