<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Thresholds and dead band of a controller, µs; null: not known. */
final readonly class ThresholdSettings
{
    public function __construct(public ?float $low, public ?float $high, public ?float $deadband)
    {
    }

    /** Whether a throttle this low arms: equal is not below. Null: the value or the threshold is not known. */
    public function isLow(?float $us): ?bool
    {
        return $us === null || $this->low === null ? null : $us < $this->low;
    }

    /** As set in this rig, else as on the card of the controller that acts on the channels. */
    public static function of(RigDocument $rig): self
    {
        $controller = $rig->boxes->controller();
        $card = $controller === null ? null : $rig->card($controller->id)?->node()->node('thresholds');
        $own = $rig->settings()->node('thresholds');
        $of = static fn (string $key): ?float => $own?->numberOrNull($key) ?? $card?->numberOrNull($key);

        return new self($of('low'), $of('high'), $of('deadband'));
    }
}
