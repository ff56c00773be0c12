<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

/** The next best format, and how sure it would be: 0 to 1. */
final readonly class Rival
{
    public function __construct(public string $format, public float $confidence)
    {
    }

    /** @return array{format: string, confidence: float} */
    public function toArray(): array
    {
        return ['format' => $this->format, 'confidence' => $this->confidence];
    }
}
