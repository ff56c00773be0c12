<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** One way to mend a wrong order, with what else it touches. What it does not speak of is left out of documents. */
final readonly class OrderFix implements \JsonSerializable
{
    /**
     * @param  ChannelOrder|null  $order  To be set there.
     * @param  bool|null  $remap  Whether the module is to rearrange.
     * @param  list<Plug>|null  $table  Which plug into which pin.
     */
    public function __construct(
        public FixPlace $at,
        public string $touches,
        public string $change,
        public ?ChannelOrder $order = null,
        public ?bool $remap = null,
        public ?array $table = null,
    ) {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) array_filter([
            'at' => $this->at, 'touches' => $this->touches, 'change' => $this->change,
            'order' => $this->order?->toString(), 'remap' => $this->remap, 'table' => $this->table,
        ], static fn (mixed $value): bool => $value !== null);
    }
}
