<?php

declare(strict_types=1);

namespace App\Actions;

/** Somebody else saved first. Carries what is there now, so that nothing is overwritten unseen. */
final class Conflict extends \RuntimeException
{
    /** @param  array<string, mixed>  $current */
    public function __construct(string $message, private readonly array $current = [])
    {
        parent::__construct($message);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['error' => ['code' => 'conflict', 'message' => $this->getMessage(), 'path' => 'revision'], 'current' => $this->current];
    }
}
