<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;

/** A plug with its pins in their order, from the key or the edge of the case. */
final readonly class Plug
{
    /** @var list<PlugPin> */
    public array $pins;

    public function __construct(PlugPin ...$pins)
    {
        $this->pins = array_values($pins);
    }

    /** Of a port as its card tells it; null: the order of its pins is not known. */
    public static function of(Node $port): ?self
    {
        $pins = $port->textsOrNull('plug') ?? [];

        return $pins === [] ? null : new self(...array_map(PlugPin::from(...), $pins));
    }

    /** What a lead that joins each pin to the one of the same place gets wrong; null: nothing. */
    public function straightInto(self $other): ?string
    {
        if (count($this->pins) !== count($other->pins)) {
            return sprintf('one plug has %d pins and the other %d', count($this->pins), count($other->pins));
        }
        $wrong = [];
        foreach ($this->pins as $place => $pin) {
            $meets = $other->pins[$place];
            if ($pin !== $meets && $pin !== PlugPin::Free && $meets !== PlugPin::Free) {
                $wrong[] = "$pin->value on $meets->value";
            }
        }

        return $wrong === [] ? null : 'a straight lead puts '.implode(', ', $wrong);
    }
}
