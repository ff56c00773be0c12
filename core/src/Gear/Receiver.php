<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;
use Linguator\Core\Supply\SupplyRange;

/** The radio in the craft, or the first one of a relay. */
final readonly class Receiver implements Box
{
    /**
     * @param  list<Protocol>  $protocols
     * @param  list<OutputPort>  $outputs
     * @param  list<ReservedChannel>  $reserved  Channels the link keeps for itself.
     * @param  list<string>|null  $channelModes  Null: not known.
     */
    private function __construct(
        public string $id,
        public string $name,
        public array $protocols,
        public array $outputs,
        public SupplyRange $supply,
        public ?bool $telemetry,
        public array $reserved,
        public ?array $channelModes,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        $outputs = $card->items('outputs');

        return new self(
            $card->text('id'),
            $card->text('name'),
            Protocol::listFrom($card),
            array_map(
                static fn (mixed $port, int $index): OutputPort => OutputPort::fromDocument($port, Place::Wire, $index),
                $outputs,
                array_keys($outputs),
            ),
            SupplyRange::fromNode($card->node('supply')),
            $card->flagOrNull('telemetry'),
            array_map(
                static fn (Node $reserved): ReservedChannel => new ReservedChannel($reserved->int('channel'), $reserved->textOrNull('for')),
                $card->nodes('reserved_channels'),
            ),
            $card->textsOrNull('channel_modes'),
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
        return Kind::Receiver;
    }

    public function ports(): Ports
    {
        return new Ports($this->outputs);
    }

    /** The output mode it is delivered in: that of its first output with one. */
    public function deliveredMode(): ?string
    {
        foreach ($this->outputs as $output) {
            if ($output->mode !== null) {
                return $output->mode;
            }
        }

        return null;
    }

    /** Whether it has a place for a throttle plug in the mode in which this output works. */
    public function hasThrottlePinBeside(OutputPort $used): bool
    {
        $mode = $used->mode ?? $this->deliveredMode();
        foreach ($this->outputs as $output) {
            if (($output->mode === null || $output->mode === $mode) && $output->hasThrottlePin()) {
                return true;
            }
        }

        return false;
    }
}
