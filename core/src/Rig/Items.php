<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/** A list of a rig's document, changed item by item. */
final readonly class Items
{
    /** @param  list<\stdClass>  $items */
    private function __construct(private string $place, private array $items)
    {
    }

    /** @param  string  $place  Such as `settings.windows`. */
    public static function of(RigDocument $rig, string $place): self
    {
        $list = RigPatch::get($rig->document, $place);

        return new self($place, array_values(array_filter(is_array($list) ? $list : [], static fn (mixed $item): bool => $item instanceof \stdClass)));
    }

    /**
     * Changes the keys named of every item that fits; a value of null takes the key out.
     *
     * @param  \Closure(Node, int): bool  $fits  Of an item and its position.
     * @param  array<string, mixed>  $values
     */
    public function changed(\Closure $fits, array $values): self
    {
        return new self($this->place, array_map(
            static fn (\stdClass $item, int $k): \stdClass => $fits(new Node($item), $k) ? self::merged($item, $values) : $item,
            $this->items,
            array_keys($this->items),
        ));
    }

    /**
     * The same; where none fits, a new item is added.
     *
     * @param  \Closure(Node, int): bool  $fits
     * @param  array<string, mixed>  $values
     * @param  array<string, mixed>  $fresh  What a new item has besides.
     */
    public function put(\Closure $fits, array $values, array $fresh): self
    {
        return $this->has($fits) ? $this->changed($fits, $values) : $this->with($fresh + $values);
    }

    /** @param  array<string, mixed>  $values */
    public function with(array $values): self
    {
        return new self($this->place, [...$this->items, self::merged(new \stdClass, $values)]);
    }

    /** @param  \Closure(Node, int): bool  $fits */
    public function without(\Closure $fits): self
    {
        return new self($this->place, array_values(array_filter($this->items, static fn (\stdClass $item, int $k): bool => ! $fits(new Node($item), $k), ARRAY_FILTER_USE_BOTH)));
    }

    /** @param  \Closure(Node, int): bool  $fits */
    public function has(\Closure $fits): bool
    {
        return count($this->without($fits)->items) < count($this->items);
    }

    /** In the order of a whole number. */
    public function sortedBy(string $key): self
    {
        $items = $this->items;
        usort($items, static fn (\stdClass $a, \stdClass $b): int => (new Node($a))->int($key) <=> (new Node($b))->int($key));

        return new self($this->place, $items);
    }

    /** @return array<string, list<\stdClass>> As `RigPatch::of` takes it. */
    public function set(): array
    {
        return [$this->place => $this->items];
    }

    public function patch(): RigPatch
    {
        return RigPatch::of($this->set());
    }

    /** @param  array<string, mixed>  $values */
    private static function merged(\stdClass $item, array $values): \stdClass
    {
        return (object) array_filter($values + get_object_vars($item), static fn (mixed $value): bool => $value !== null);
    }
}
