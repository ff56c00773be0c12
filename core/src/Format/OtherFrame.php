<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\Node;

/** A frame of another type on the same line, and what its bytes say. */
final readonly class OtherFrame
{
    /** @param  list<array{name: string, unit: string}>  $fields  One byte each, after the type. */
    private function __construct(public string $type, public string $name, public array $fields)
    {
    }

    public static function of(Node $node): self
    {
        return new self($node->text('type'), $node->text('name'), array_map(
            static fn (Node $field): array => ['name' => $field->text('name'), 'unit' => $field->text('unit')],
            $node->nodes('fields'),
        ));
    }

    /**
     * @param  string  $bytes  After the type, as many as there are.
     * @return list<array{name: string, value: int, unit: string}>
     */
    public function read(string $bytes): array
    {
        $fields = [];
        foreach (array_slice($this->fields, 0, strlen($bytes)) as $k => $field) {
            $byte = ord($bytes[$k]);
            $fields[] = ['name' => $field['name'], 'value' => match ($field['unit']) {
                '-dBm' => -$byte,
                'dB' => $byte < 128 ? $byte : $byte - 256,
                default => $byte,
            }, 'unit' => ltrim($field['unit'], '-')];
        }

        return $fields;
    }
}
