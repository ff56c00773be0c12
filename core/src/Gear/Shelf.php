<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** The cards that are at hand, by id. */
final readonly class Shelf
{
    /** @param  \Closure(string): ?\stdClass  $find  The whole card of an id; null: it is not there. */
    public function __construct(private \Closure $find)
    {
    }

    public static function none(): self
    {
        return new self(static fn (): ?\stdClass => null);
    }

    public function card(string $id): ?\stdClass
    {
        return ($this->find)($id);
    }

    /** The name on the card; the id where there is none. */
    public function nameOf(string $id): string
    {
        $name = $this->card($id)->name ?? null;

        return is_string($name) ? $name : $id;
    }
}
