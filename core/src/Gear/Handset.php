<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Supply\Pack;

/** The transmitter in the hands. */
final readonly class Handset implements Box
{
    private const DEFAULT_US_PER_100 = 512.0;

    /**
     * @param  list<Radio>  $radios
     * @param  list<OutputPort>  $outputs  Bay first, then trainer socket.
     * @param  bool  $orderFixed  Its order cannot be changed.
     * @param  float|string|null  $baySupply  `pack`, a fixed voltage, or null: not known.
     */
    private function __construct(
        public string $id,
        public string $name,
        public ?int $channels,
        public ?ChannelOrder $order,
        public float $centreUs,
        public ?float $usPer100,
        public array $radios,
        public array $outputs,
        public bool $hasBay,
        public float|string|null $baySupply,
        public ?Pack $pack,
        public bool $orderFixed,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        $bay = $card->node('bay');
        $trainer = $card->node('trainer');
        $scale = $card->node('scale');
        $pack = $card->node('pack');
        $supply = $bay === null || ! $bay->has('supply_v') ? 'pack' : $bay->get('supply_v');

        return new self(
            $card->text('id'),
            $card->text('name'),
            $card->intOrNull('channels'),
            ChannelOrder::tryOf($card->textOrNull('order')),
            $scale?->numberOrNull('centre') ?? Pulse::CENTRE_US,
            $scale?->numberOrNull('us_per_100'),
            self::radios($card),
            [...self::outputsOf($bay, Place::Bay), ...self::outputsOf($trainer, Place::Trainer)],
            $bay !== null,
            is_int($supply) || is_float($supply) ? (float) $supply : (is_string($supply) ? $supply : null),
            Pack::orNull($pack),
            $card->flag('order_fixed'),
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
        return Kind::Handset;
    }

    public function ports(): Ports
    {
        return new Ports($this->outputs);
    }

    /** The longest pulse at 100 % (µs): it decides whether a pulse train keeps its gap. */
    public function longestPulseUs(): float
    {
        return $this->centreUs + ($this->usPer100 ?? self::DEFAULT_US_PER_100);
    }

    public function hasRadioThatStaysOn(): bool
    {
        foreach ($this->radios as $radio) {
            if ($radio->alwaysOn) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Radio> */
    private static function radios(Node $card): array
    {
        $radios = [];
        foreach ($card->nodes('radios') as $index => $radio) {
            $radios[] = new Radio($radio->text('id'), Protocol::listFrom($radio), $radio->flag('always_on'), $index);
        }

        return $radios;
    }

    /** @return list<OutputPort> */
    private static function outputsOf(?Node $socket, Place $place): array
    {
        $outputs = $socket?->items('outputs') ?? [];

        return array_map(
            static fn (mixed $port, int $index): OutputPort => OutputPort::fromDocument($port, $place, $index),
            $outputs,
            array_keys($outputs),
        );
    }
}
