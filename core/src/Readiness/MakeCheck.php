<?php

declare(strict_types=1);

namespace Linguator\Core\Readiness;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Proof\Witness;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A check was made at check-out. */
final readonly class MakeCheck implements Intent
{
    public function __construct(private CheckKind $check, private bool $passed, private string $observed, private string $by)
    {
    }

    public static function read(Node $told): self
    {
        return new self(CheckKind::from($told->text('check')), $told->flag('passed'), trim($told->textOrNull('observed') ?? ''), trim($told->textOrNull('by') ?? ''));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $step = $this->check->step();
        if ($step !== null) {
            throw DocumentError::at('check', "\"{$this->check->value}\" is made in its own step, $step->value.", 'elsewhere');
        }
        Witness::mustHaveSeen($this->observed, $this->by);
        $made = new CheckMade($this->check, null, $this->passed, null, $this->observed, $this->by, $occasion->at);
        $sentence = $this->check->title().' checked, '.($this->passed ? 'holds' : 'failed').": $this->observed";

        return new Deed($made->on($rig), $sentence, EntryKind::Test);
    }
}
