<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;
use Linguator\Core\Supply\SupplyRange;

/** Turns one wire into another. */
final readonly class Converter implements Box
{
    private function __construct(
        public string $id,
        public string $name,
        public InputPort $input,
        public OutputPort $output,
        public SupplyRange $supply,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        return new self(
            $card->text('id'),
            $card->text('name'),
            InputPort::fromDocument($card->get('input')),
            OutputPort::fromDocument($card->get('output')),
            SupplyRange::fromNode($card->node('supply')),
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
        return Kind::Converter;
    }

    public function ports(): Ports
    {
        return new Ports([$this->output], [$this->input]);
    }
}
