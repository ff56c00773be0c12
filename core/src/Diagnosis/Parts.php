<?php

declare(strict_types=1);

namespace Linguator\Core\Diagnosis;

/** What is in the chain: it decides which causes and tests there can be. */
final readonly class Parts
{
    public function __construct(public bool $module = true, public bool $relay = true, public bool $controller = true)
    {
    }

    public function have(?string $part): bool
    {
        return match ($part) {
            'module' => $this->module,
            'relay' => $this->relay,
            'controller' => $this->controller,
            default => true,
        };
    }
}
