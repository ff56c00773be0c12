<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Document\Node;

/** The values a receiver holds for a lost link, by channel as it puts them out. */
final readonly class StoredUs
{
    /** @param  list<mixed>  $values  µs or null, as the document has them. */
    private function __construct(private array $values)
    {
    }

    /** @param  Node  $hop  An entry of the rig's `failsafe`. */
    public static function of(Node $hop): self
    {
        return new self($hop->items('stored_us'));
    }

    /** µs; null: none is stored, or the channel is not known. */
    public function at(?int $channel): ?float
    {
        $value = $channel === null ? null : $this->values[$channel - 1] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }
}
