<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Rig\ThresholdSettings;

/** What a controller takes for low, high and still, as it is set and as it should be. µs. */
final readonly class ThresholdsView
{
    /** @param  string|null  $waitsFor  Why nothing is suggested yet. */
    public function __construct(
        public string $controller,
        public ?float $low,
        public ?float $high,
        public ?float $deadband,
        public ThresholdSettings $suggested,
        public ?string $waitsFor,
        public bool $arms,
        public Findings $findings,
    ) {
    }
}
