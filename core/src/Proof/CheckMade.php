<?php

declare(strict_types=1);

namespace Linguator\Core\Proof;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** A check somebody has made: what should be seen, what was, by whom and when. */
final readonly class CheckMade
{
    /**
     * @param  int|null  $hop  From 1; null: not of a hop.
     * @param  string|null  $expected  Null: as the kind of check has it.
     * @param  string|null  $shows  What a test of a lost link showed, where nobody could know before.
     * @param  string  $at  As documents have it, `2026-11-03T10:12:00Z`.
     */
    public function __construct(
        public CheckKind $kind,
        public ?int $hop,
        public bool $passed,
        public ?string $expected,
        public ?string $observed,
        public ?string $by,
        public string $at,
        public ?string $shows = null,
        public Cut $cut = Cut::Link,
    ) {
    }

    /** Kept with the settings it was made with. */
    public function on(RigDocument $rig): RigPatch
    {
        return RigPatch::of([])->adding('checks', [(object) array_filter([
            'check' => $this->kind->value,
            'hop' => $this->hop,
            'result' => $this->passed ? 'pass' : 'fail',
            'expected' => $this->expected ?? $this->kind->expected(),
            'observed' => $this->observed,
            'shows' => $this->shows,
            'cut' => $this->cut === Cut::Link ? null : $this->cut->value,
            'at' => $this->at,
            'by' => $this->by,
            'made_with' => SettingsNow::of($rig)->record($this->kind->dependsOn(), $this->hop ?? 1),
        ], static fn (mixed $value): bool => $value !== null && $value !== '')]);
    }
}
