<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** The serial formats that are known: those that ship, and the user's own, which are read when they are first needed. */
final class Formats
{
    /** @var list<FormatCard>|null */
    private ?array $own = null;

    /** @param  \Closure(): list<FormatCard>  $readOwn */
    private function __construct(private readonly \Closure $readOwn)
    {
    }

    public static function shipped(): self
    {
        return new self(static fn (): array => []);
    }

    /** @param  \Closure(): list<FormatCard>  $readOwn */
    public static function with(\Closure $readOwn): self
    {
        return new self($readOwn);
    }

    /** A shipped one goes before one of the user's of the same id. */
    public function get(string $id): ?FormatCard
    {
        $shipped = FormatCards::get($id);
        if ($shipped !== null) {
            return $shipped;
        }
        foreach ($this->own() as $card) {
            if ($card->id === $id) {
                return $card;
            }
        }

        return null;
    }

    /** @return list<FormatCard> The shipped ones first. */
    public function all(): array
    {
        return [...FormatCards::all(), ...$this->own()];
    }

    /** @return list<string> */
    public function ids(): array
    {
        return [...FormatCards::ids(), ...array_map(static fn (FormatCard $card): string => $card->id, $this->own())];
    }

    /** @return list<FormatCard> */
    public function own(): array
    {
        return $this->own ??= ($this->readOwn)();
    }
}
