<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

/** A part for a screen. */
final readonly class LikePartView
{
    /**
     * @param  list<LikeLine>  $lines
     * @param  list<string>  $leftOut
     */
    public function __construct(public LikePartKey $part, public string $title, public array $lines, public array $leftOut)
    {
    }
}
