<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Readiness\CheckKind;

/** Changes the failsafe step makes to a rig's document. */
final readonly class FailsafeChange
{
    public function __construct(private RigDocument $rig, private FailsafeReview $review)
    {
    }

    /**
     * What was set on a receiver, with the settings it was made with.
     *
     * @param  list<mixed>|null  $stored  µs or null, by channel as this receiver puts them out.
     *
     * @throws DocumentError if the hop, the mode or the way is not one this rig has.
     */
    public function set(int $number, string $mode, ?string $setBy, ?array $stored, string $at): RigPatch
    {
        $hop = $this->hop($number);
        $this->mustBeOneOf($mode, $hop->modes(), 'mode');
        if ($setBy !== null) {
            $this->mustBeOneOf($setBy, $hop->ways(), 'set_by');
        }
        $entry = (object) [
            'hop' => $number,
            'mode' => $mode,
            'stored_us' => $mode === 'stored' ? $stored : null,
            'set_by' => $setBy,
            'at' => $at,
            'made_with' => $this->rig->dependent()->record(CheckKind::FailsafeSet->dependsOn(), $number),
        ];
        $others = array_filter($this->rig->settings()->nodes('failsafe'), static fn ($other): bool => $other->int('hop') !== $number);
        $all = [...array_map(static fn ($other): \stdClass => $other->value, array_values($others)), $entry];
        usort($all, static fn (\stdClass $a, \stdClass $b): int => $a->hop <=> $b->hop);

        return RigPatch::of(['settings.failsafe' => $all]);
    }

    /** What was seen when the link was cut. */
    public function tested(int $number, bool $passed, ?string $observed, ?string $by, string $at): RigPatch
    {
        $hop = $this->hop($number);

        return (new CheckChange($this->rig))->made(CheckKind::FailsafeTested, $number, $passed, $hop->outcome()->sentence(), $observed, $by, $at);
    }

    private function hop(int $number): FailsafeHop
    {
        return $this->review->hops[$number - 1] ?? throw DocumentError::at('hop', "Found hop $number; this rig has ".count($this->review->hops).'.', 'no_such_hop');
    }

    /** @param  list<string>|null  $choices  Null: not known, so anything may be. */
    private function mustBeOneOf(string $value, ?array $choices, string $path): void
    {
        if ($choices !== null && ! in_array($value, $choices, true)) {
            throw DocumentError::at($path, 'Found '.Excerpt::of($value).'; this receiver has '.($choices === [] ? 'none' : implode(', ', $choices)).'.', 'not_possible');
        }
    }
}
