<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Document\Node;
use Linguator\Core\Proof\Witness;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** Each stick was moved, and this is what moved: seen at the craft, or read from a log. */
final readonly class KeepOrderCheck implements Intent
{
    public function __construct(private Node $told)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told);
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $check = MovementTold::judge(new OrderReview($rig), $this->told)->check;
        $by = trim($this->told->textOrNull('by') ?? '');
        Witness::mustBeNamed($by);
        $sentence = $check->passes() ? 'Order checked: each stick moves what it should.' : 'Order checked, failed: '.$check->sentence();

        return new Deed($check->made($by, $occasion->at)->on($rig), $sentence, EntryKind::Test);
    }
}
