<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Node;

/** One piece of gear as its document says. The document is kept as it came; `box()` reads it for the arithmetic. */
final readonly class GearCard
{
    private function __construct(public \stdClass $document, public string $id, public Kind $kind, public string $name)
    {
    }

    /** @param  \stdClass  $document One that has passed the gear card schema and the rules of `CardReader`. */
    public static function of(\stdClass $document): self
    {
        $node = new Node($document);

        return new self($document, $node->text('id'), Kind::from($node->text('kind')), $node->text('name'));
    }

    public function box(): Box
    {
        $node = new Node($this->document);

        return match ($this->kind) {
            Kind::Handset => Handset::fromNode($node),
            Kind::Module => Module::fromNode($node),
            Kind::Receiver => Receiver::fromNode($node),
            Kind::Converter => Converter::fromNode($node),
            Kind::Controller => Controller::fromNode($node),
            Kind::ServoSet => ServoSet::fromNode($node),
        };
    }

    /** @return list<string> */
    public function aliases(): array
    {
        return (new Node($this->document))->texts('alias');
    }

    public function canonical(): \stdClass
    {
        $canonical = KeyOrder::canonical($this->document);
        assert($canonical instanceof \stdClass);

        return $canonical;
    }

    public function node(): Node
    {
        return new Node($this->document);
    }
}
