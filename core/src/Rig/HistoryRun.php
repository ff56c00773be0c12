<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** Changes of one thing, made one after the other in one go. */
final readonly class HistoryRun
{
    /**
     * @param  int  $newest  Position of its last entry.
     * @param  string  $says  What all of them were about, and how many they are.
     */
    public function __construct(public int $newest, public string $says)
    {
    }
}
