<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Finding\Findings;
use Linguator\Core\Switching\SwitchLevel;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\ServoRange;

/** A servo that a switch, slider or knob drives, as the travel step shows it. */
final readonly class ServoOnSwitchView
{
    /**
     * @param  string|null  $switch  Null: not chosen yet.
     * @param  list<SwitchLevel>  $levels  What its positions send.
     * @param  bool  $isRead  Whether the levels were read; else they are computed.
     * @param  ServoRange  $safe  What its servos stand.
     */
    public function __construct(
        public int $channel,
        public string $function,
        public ?string $switch,
        public array $levels,
        public bool $isRead,
        public ChannelSettings $now,
        public ServoRange $safe,
        public Findings $findings,
    ) {
    }
}
