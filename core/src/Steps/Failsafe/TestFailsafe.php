<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\Shown;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Proof\Cut;
use Linguator\Core\Proof\Witness;
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
     * @param  bool  $passed  Whether it did what it must; where nobody can know beforehand, what it shows decides.
     * @param  string  $observed  Empty: not said.
     * @param  string  $source  What shows it, where that is not somebody's eyes: ", by the capture cut.csv".
     */
    public function __construct(private int $hop, private bool $passed, private string $observed = '', private string $by = '', private string $source = '', private ?Shown $shows = null, private Cut $cut = Cut::Link)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('hop'), $told->flag('passed'), trim($told->textOrNull('observed') ?? ''), trim($told->textOrNull('by') ?? ''), shows: Shown::tryFrom($told->textOrNull('shows') ?? ''), cut: Cut::from($told->textOrNull('cut') ?? Cut::Link->value));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $hop = (new FailsafeReview($rig))->hop($this->hop);
        if (! in_array($this->cut, $hop->cuts(), true)) {
            throw DocumentError::at('cut', 'There is no lead to pull on this hop.', 'not_possible');
        }
        $expected = $hop->expected($this->cut);
        $passed = $this->hasPassed($expected);
        $observed = $this->observed === '' ? $this->shows?->says() ?? '' : $this->observed;
        Witness::mustHaveSeen($observed, $this->by);
        $check = new CheckMade(CheckKind::FailsafeTested, $this->hop, $passed, $expected->sentence(), $observed, $this->by, $occasion->at, $this->shows?->value, $this->cut);
        $sentence = "Failsafe of hop $this->hop tested".($this->cut === Cut::Lead ? ' with its lead pulled, ' : ', ').($passed ? 'passed' : 'failed').$this->source.": $observed";

        return new Deed($check->on($rig), $sentence, EntryKind::Test);
    }

    /** @throws DocumentError if a harmful outcome is called passed, or nothing is told of one that nobody can know. */
    private function hasPassed(Outcome $expected): bool
    {
        if ($expected === Outcome::Unknown) {
            if ($this->passed && $this->shows === null) {
                throw DocumentError::at('shows', 'Nobody can say beforehand what this craft does: tell what the test showed.', 'missing_key');
            }

            return $this->shows !== null && ! $this->shows->outcome()->isHarmful();
        }
        if ($this->shows !== null) {
            throw DocumentError::at('shows', 'What this craft does follows from its settings; tell whether that was seen.', 'not_asked');
        }
        if ($this->passed && $expected->isHarmful()) {
            throw DocumentError::at('passed', "{$expected->sentence()} Nobody may call that passed: set it otherwise first.", 'harmful');
        }

        return $this->passed;
    }
}
