<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Document\Node;
use Linguator\Core\Supply\SupplyRange;

/** An add-on radio in a bay or on a cable. */
final readonly class Module implements Box
{
    /**
     * @param  list<InputPort>  $inputs
     * @param  ChannelOrder|null  $expects  Null: it passes channels through as they come.
     * @param  ChannelOrder|null  $sends  What it sends where the protocol names no order of its own; null: not known.
     * @param  bool  $remapOn  As delivered.
     */
    private function __construct(
        public string $id,
        public string $name,
        public array $inputs,
        public Radio $radio,
        public SupplyRange $supply,
        public ?ChannelOrder $expects,
        public ?ChannelOrder $sends,
        public bool $remapSwitchable,
        public bool $remapOn,
    ) {
    }

    public static function fromNode(Node $card): self
    {
        $remap = $card->node('remap');

        return new self(
            $card->text('id'),
            $card->text('name'),
            InputPorts::fromList($card->items('inputs')),
            new Radio($card->text('id'), Protocol::listFrom($card)),
            SupplyRange::fromNode($card->node('supply')),
            ChannelOrder::tryOf($remap?->textOrNull('expects')),
            ChannelOrder::tryOf($remap?->textOrNull('sends')),
            $remap?->flag('switchable') ?? false,
            $remap?->flag('on', true) ?? false,
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
        return Kind::Module;
    }

    public function ports(): Ports
    {
        return new Ports(inputs: $this->inputs);
    }

    /** How it rearranges channels 1–4 when remapping is on and this protocol is sent; null if that is not known or it has no remapping. */
    public function remapFor(?Protocol $protocol): ?Remap
    {
        $sends = $protocol->order ?? $this->sends;

        return $this->expects === null || $sends === null ? null : new Remap($this->expects, $sends);
    }
}
