<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Travel\SubtrimModel;

/** What the travel step shows. */
final readonly class TravelView
{
    /**
     * @param  list<TravelRowView>  $rows
     * @param  list<ServoOnSwitchView>  $switched  Servos that no stick drives.
     * @param  SubtrimModel|null  $model  Null: not on the card.
     * @param  float  $stepPct  The handset's smallest step, %.
     * @param  string|null  $reader  The controller that reads the values.
     * @param  CommonRange|null  $controllerRange  What to set in the controller, where the handset is left as it is.
     */
    public function __construct(
        public array $rows,
        public array $switched,
        public ?SubtrimModel $model,
        public string $modelSays,
        public float $stepPct,
        public float $maxPct,
        public float $usPer100,
        public School $school,
        public Centring $centring,
        public ?string $reader,
        public ?CommonRange $controllerRange,
        public ?ThresholdsView $thresholds,
        public bool $done,
    ) {
    }
}
