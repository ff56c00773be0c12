<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

use Linguator\Core\Document\Node;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Proof\Witness;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** The handset was switched off and on again, and the light followed or did not. */
final readonly class ProveBind implements Intent
{
    public function __construct(private int $hop, private bool $passed, private string $by)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('hop'), $told->flag('passed'), trim($told->textOrNull('by') ?? ''));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        (new BindReview($rig))->hopAt($this->hop);
        Witness::mustBeNamed($this->by);
        $check = new CheckMade(CheckKind::Bind, $this->hop, $this->passed, null, $this->passed ? 'the light follows it' : 'the light does not follow it', $this->by, $occasion->at);
        $sentence = $this->passed ? 'Bind proven: the light follows the handset' : 'Bind not proven: the light does not follow the handset';

        return new Deed($check->on($rig), $sentence, EntryKind::Test);
    }
}
