<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Channel\OrderFix;
use Linguator\Core\Document\Plain;

/** A fix that this gear allows, as a button says it. */
final readonly class OfferedFix implements \JsonSerializable
{
    /** @param  string|null  $module  Id of the module that is to be switched. */
    public function __construct(public OrderFix $fix, public string $title, public ?string $module = null)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) (Plain::object($this->fix) + ['title' => $this->title] + ($this->module === null ? [] : ['module' => $this->module]));
    }
}
