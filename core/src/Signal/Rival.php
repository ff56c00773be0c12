<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** The next best format, and how sure it would be: 0 to 1. */
final readonly class Rival implements \JsonSerializable
{
    public function __construct(public string $format, public float $confidence)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ['format' => $this->format, 'confidence' => $this->confidence];
    }
}
