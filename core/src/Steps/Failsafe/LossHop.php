<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\LossStage;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;

/** One hop as the failsafe step shows it: what comes of a loss, how it is set on this receiver, and how it is tested. */
final readonly class LossHop
{
    /**
     * @param  int  $hop  From 1.
     * @param  FailsafeMode|null  $mode  Null: not known.
     * @param  FailsafeMode|null  $recommended  Null: none of its modes would do.
     * @param  list<ModeChoice>  $modes
     * @param  list<WayChoice>  $ways
     * @param  list<float|null>|null  $storedUs  By channel as this receiver puts it out.
     * @param  list<string>  $stale  Why what was set holds no longer.
     * @param  list<StoredChannel>  $storedChannels
     * @param  non-empty-list<LossTest>  $tests  One for every place where the link can be lost.
     * @param  list<LossStage>  $way  What each box does, to the craft.
     */
    public function __construct(
        public int $hop,
        public string $receiver,
        public ?FailsafeMode $mode,
        public string $modeSays,
        public Outcome $outcome,
        public string $says,
        public Severity $severity,
        public string $because,
        public Findings $findings,
        public ?FailsafeMode $recommended,
        public string $recommendedWhy,
        public array $modes,
        public array $ways,
        public bool $isSet,
        public ?SetBy $setBy,
        public ?array $storedUs,
        public ?string $setAt,
        public array $stale,
        public array $storedChannels,
        public bool $tested,
        public array $tests,
        public array $way,
    ) {
    }
}
