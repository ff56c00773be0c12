<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Chain\Rearranging;

/** A module that can rearrange, and what it does; null: not known. */
final readonly class OrderModule
{
    public function __construct(public string $id, public string $name, public bool $on, public ?string $expects, public ?string $sends)
    {
    }

    public static function of(Rearranging $entry): self
    {
        return new self($entry->module->id, $entry->module->name, $entry->isOn, $entry->module->expects?->toString(), $entry->remap?->sends->toString());
    }
}
