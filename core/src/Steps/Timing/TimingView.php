<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Timing;

/** What the timing panel shows. */
final readonly class TimingView
{
    /**
     * @param  list<TrainRow>  $trains
     * @param  DelayView|null  $latency  Null: nothing joins.
     * @param  list<Alternative>  $alternatives  Fastest first.
     */
    public function __construct(public array $trains, public ?DelayView $latency, public array $alternatives, public ResolutionView $resolution)
    {
    }
}
