<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** The public properties of a class, as they are told in an answer. */
final readonly class PlainShape
{
    /** Types whose values stand in an answer as they are. */
    private const PLAIN = ['int', 'float', 'string', 'bool', 'null', 'true', 'false'];

    /**
     * @param  list<string>  $keys  In the order of the properties, in snake_case.
     * @param  list<string>  $deep  Those that may hold objects or lists.
     */
    private function __construct(public array $keys, public array $deep)
    {
    }

    public static function of(object $value): self
    {
        [$keys, $deep] = [[], []];
        foreach (array_keys(get_object_vars($value)) as $property) {
            $key = self::key($property);
            $keys[] = $key;
            if (! self::isPlain(new \ReflectionProperty($value, $property))) {
                $deep[] = $key;
            }
        }

        return new self($keys, $deep);
    }

    private static function isPlain(\ReflectionProperty $property): bool
    {
        $type = $property->getType();
        $names = match (true) {
            $type instanceof \ReflectionNamedType => [$type->getName()],
            $type instanceof \ReflectionUnionType => array_map(strval(...), $type->getTypes()),
            default => ['mixed'],
        };

        return array_diff($names, self::PLAIN) === [];
    }

    private static function key(string $property): string
    {
        return strtolower((string) preg_replace('/(?<!^)[A-Z]|(?<=[a-z]{2})\d+/', '_$0', $property));
    }
}
