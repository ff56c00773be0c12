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

    /** As most servo leads are. */
    public static function usual(): self
    {
        return new self(PlugPin::Signal, PlugPin::Plus, PlugPin::Ground);
    }

    /**
     * Of these boxes, each order of pins once, the usual one first.
     *
     * @return array<string, self> By key.
     */
    public static function on(Box ...$boxes): array
    {
        $plugs = [self::usual()->key() => self::usual()];
        foreach ($boxes as $box) {
            foreach ([...$box->ports()->outputs, ...$box->ports()->inputs] as $port) {
                if ($port->plug !== null) {
                    $plugs[$port->plug->key()] ??= $port->plug;
                }
            }
        }

        return $plugs;
    }

    /** The same for every plug with its pins in this order: "signal-plus-ground". */
    public function key(): string
    {
        return implode('-', array_column($this->pins, 'value'));
    }

    /** What a plug of this key is, in words. */
    public static function told(string $key): string
    {
        $pins = explode('-', $key);

        return sprintf('a plug of %s: %s', count($pins) === 1 ? 'one pin' : count($pins).' pins', implode(', ', array_map(static fn (string $pin): string => PlugPin::tryFrom($pin)?->label() ?? $pin, $pins)));
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
