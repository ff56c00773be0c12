<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\ServoRange;
use Linguator\Core\Travel\Solution;
use Linguator\Core\Travel\SubtrimModel;

/** One channel as the travel step shows it. µs, and % where the name says so. */
final readonly class TravelRowView
{
    /**
     * @param  bool  $centres  Its middle is set here.
     * @param  ServoRange  $safe  What its servos stand.
     * @param  Reading|null  $reading  Null: not read.
     * @param  Solution|null  $solution  Null: nothing is computed.
     * @param  string|null  $explanation  Why the second reading is not what the settings should have given.
     * @param  SubtrimModel|null  $explainsModel  The sub-trim model that would explain it.
     * @param  string|null  $hidden  Reversals that hide.
     * @param  list<int>  $copiesTo  Sticks that could take its settings over.
     * @param  float  $weight  Of the input, %.
     * @param  float  $mixWeight  Of the mix, %.
     */
    public function __construct(
        public int $channel,
        public string $function,
        public bool $centres,
        public ChannelSettings $now,
        public Reading $target,
        public string $targetWhy,
        public ServoRange $safe,
        public ?Reading $reading,
        public ?Solution $solution,
        public TravelState $state,
        public float $residueUs,
        public float $toleranceUs,
        public ?string $explanation,
        public ?SubtrimModel $explainsModel,
        public ?string $hidden,
        public Findings $findings,
        public array $copiesTo,
        public float $weight,
        public float $mixWeight,
    ) {
    }
}
