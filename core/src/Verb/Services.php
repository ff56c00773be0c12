<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Capture\Source;
use Linguator\Core\Format\Formats;

/** What verbs need besides their question: the formats known at this bench, and a capture where one is asked about. */
final readonly class Services
{
    public function __construct(public Formats $formats, public ?Source $capture = null)
    {
    }

    public static function shipped(): self
    {
        return new self(Formats::shipped());
    }

    public function with(Source $capture): self
    {
        return new self($this->formats, $capture);
    }
}
