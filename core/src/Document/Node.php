<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * Typed access to a document that has passed its schema. A missing key and null are told apart by `has`.
 *
 * A wrong type here is a fault of ours (the schema let it through), hence the LogicException.
 */
final readonly class Node
{
    public function __construct(public \stdClass $value)
    {
    }

    public function has(string $key): bool
    {
        return property_exists($this->value, $key);
    }

    public function get(string $key): mixed
    {
        return $this->value->{$key} ?? null;
    }

    public function text(string $key): string
    {
        return $this->textOrNull($key) ?? throw self::wrong($key, 'text');
    }

    public function textOrNull(string $key): ?string
    {
        $value = $this->get($key);

        return $value === null || is_string($value) ? $value : throw self::wrong($key, 'text');
    }

    public function number(string $key, ?float $default = null): float
    {
        return $this->numberOrNull($key) ?? $default ?? throw self::wrong($key, 'a number');
    }

    public function numberOrNull(string $key): ?float
    {
        $value = $this->get($key);

        return match (true) {
            $value === null => null,
            is_int($value), is_float($value) => (float) $value,
            default => throw self::wrong($key, 'a number'),
        };
    }

    public function int(string $key): int
    {
        return $this->intOrNull($key) ?? throw self::wrong($key, 'a whole number');
    }

    public function intOrNull(string $key): ?int
    {
        $value = $this->numberOrNull($key);

        return $value === null ? null : (int) $value;
    }

    public function flag(string $key, bool $default = false): bool
    {
        return $this->flagOrNull($key) ?? $default;
    }

    public function flagOrNull(string $key): ?bool
    {
        $value = $this->get($key);

        return $value === null || is_bool($value) ? $value : throw self::wrong($key, 'true or false');
    }

    public function node(string $key): ?self
    {
        $value = $this->get($key);

        return match (true) {
            $value === null => null,
            $value instanceof \stdClass => new self($value),
            default => throw self::wrong($key, 'an object'),
        };
    }

    /** @return list<mixed> */
    public function items(string $key): array
    {
        return $this->itemsOrNull($key) ?? [];
    }

    /** @return list<mixed>|null */
    public function itemsOrNull(string $key): ?array
    {
        $value = $this->get($key);

        return match (true) {
            $value === null => null,
            is_array($value) => array_values($value),
            default => throw self::wrong($key, 'a list'),
        };
    }

    /** @return list<self> */
    public function nodes(string $key): array
    {
        return array_map(
            static fn (mixed $item): self => $item instanceof \stdClass ? new self($item) : throw self::wrong($key, 'a list of objects'),
            $this->items($key),
        );
    }

    /** @return list<string>|null */
    public function textsOrNull(string $key): ?array
    {
        $items = $this->itemsOrNull($key);

        return $items === null ? null : array_map(
            static fn (mixed $item): string => is_string($item) ? $item : throw self::wrong($key, 'a list of texts'),
            $items,
        );
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return $this->textsOrNull($key) ?? [];
    }

    /** @return list<float>|null */
    public function numbersOrNull(string $key): ?array
    {
        $items = $this->itemsOrNull($key);

        return $items === null ? null : array_map(
            static fn (mixed $item): float => is_int($item) || is_float($item) ? (float) $item : throw self::wrong($key, 'a list of numbers'),
            $items,
        );
    }

    private static function wrong(string $key, string $expected): \LogicException
    {
        return new \LogicException("Key $key should have been $expected; its schema is too loose.");
    }
}
