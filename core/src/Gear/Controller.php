<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Supply\SupplyRange;
use Linguator\Core\Wire\WireFormats;

/** Flight controller or stabilising gyro: reads channels, drives outputs. */
final readonly class Controller implements Box
{
    /**
     * @param  list<InputPort>  $inputs
     * @param  bool|null  $passesThrottle  Null: not known.
     * @param  float|null  $feedsV  Voltage it gives to receiver and gyro.
     */
    private function __construct(
        public string $id,
        public string $name,
        public array $inputs,
        public ?ChannelOrder $order,
        public bool $orderSettable,
        public ?int $pins,
        public ?bool $passesThrottle,
        public OutputPort $output,
        public SupplyRange $supply,
        public ?float $feedsV,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        $outputs = $card->node('outputs');

        return new self(
            $card->text('id'),
            $card->text('name'),
            InputPorts::fromList($card->items('inputs')),
            ChannelOrder::tryOf($card->textOrNull('order')),
            $card->flag('order_settable', true),
            $outputs?->intOrNull('pins'),
            $outputs !== null && $outputs->has('passes_throttle') ? $outputs->flagOrNull('passes_throttle') : true,
            new OutputPort(
                WireFormats::get('pwm'),
                levelV: $outputs?->numberOrNull('level_v'),
                channels: $outputs?->intOrNull('pins'),
                pins: $outputs?->intOrNull('pins'),
                periodsMs: $outputs?->numbersOrNull('period_ms'),
            ),
            SupplyRange::fromNode($card->node('supply')),
            $card->numberOrNull('feeds_v'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function kind(): Kind
    {
        return Kind::Controller;
    }

    public function ports(): Ports
    {
        return new Ports([$this->output], $this->inputs);
    }

    /** Whether separate wires are all it reads: what it does not drive is then plugged past it. */
    public function readsOnlyPwm(): bool
    {
        foreach ($this->inputs as $input) {
            if (! $input->isPwm()) {
                return false;
            }
        }

        return $this->inputs !== [];
    }
}
