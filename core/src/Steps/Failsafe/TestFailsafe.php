<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** The link was cut, and this is what was seen. */
final readonly class TestFailsafe implements Intent
{
    /**
     * @param  int  $hop  From 1.
     * @param  string  $observed  Empty: not said.
     * @param  string  $source  What shows it, where that is not somebody's eyes: ", by the capture cut.csv".
     */
    public function __construct(private int $hop, private bool $passed, private string $observed = '', private string $by = '', private string $source = '')
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('hop'), $told->flag('passed'), trim($told->textOrNull('observed') ?? ''), trim($told->textOrNull('by') ?? ''));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $expected = (new FailsafeReview($rig))->hop($this->hop)->outcome()->sentence();
        $check = new CheckMade(CheckKind::FailsafeTested, $this->hop, $this->passed, $expected, $this->observed, $this->by, $occasion->at);
        $sentence = "Failsafe of hop $this->hop tested, ".($this->passed ? 'passed' : 'failed').$this->source.($this->observed === '' ? '' : ": $this->observed");

        return new Deed($check->on($rig), $sentence, EntryKind::Test);
    }
}
