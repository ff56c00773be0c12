<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Finding\Finding;

/** Something found in a dance, with the channel and the end it speaks of. */
final readonly class DanceFinding implements \JsonSerializable
{
    /** @param  string|null  $end  `lo` or `hi`. */
    public function __construct(public Finding $finding, public ?int $channel = null, public ?string $end = null)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) (get_object_vars($this->finding->jsonSerialize()) + array_filter(['channel' => $this->channel, 'end' => $this->end], static fn (int|string|null $value): bool => $value !== null));
    }
}
