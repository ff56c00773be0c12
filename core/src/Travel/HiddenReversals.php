<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

/** A reversal can hide in three places; two of them cancel out. */
final readonly class HiddenReversals
{
    /** @param  array<string, bool>  $places  By place (input weight, mix weight, output): whether it reverses. */
    public function __construct(private array $places)
    {
    }

    public function isReversed(): bool
    {
        return count(array_filter($this->places)) % 2 === 1;
    }

    /** One sentence when more than one place reverses; null otherwise. */
    public function sentence(): ?string
    {
        $hidden = array_keys(array_filter($this->places));
        if (count($hidden) < 2) {
            return null;
        }

        return 'Reversed in '.implode(' and in ', $hidden).': '.($this->isReversed() ? 'together they reverse.' : 'they cancel out.');
    }
}
