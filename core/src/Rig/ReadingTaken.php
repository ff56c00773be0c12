<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Reading;

/** A reading of one channel, with what was set when it was taken. */
final readonly class ReadingTaken
{
    public function __construct(
        public Reading $reading,
        public ChannelSettings $with,
        public ?string $at = null,
        public ?float $noiseUs = null,
    ) {
    }
}
