<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Document\Excerpt;

/** Places of a capture that could not be read; what is sound before and after them is kept. */
final class Damage
{
    private const SHOWN = 20;

    public int $count = 0;

    /** @var list<array{line: int, found: string, expected: string}> The first ones. */
    public array $places = [];

    /** The capture is read from its begin again. */
    public function restart(): void
    {
        [$this->count, $this->places] = [0, []];
    }

    /** What has been found since is looked for again. */
    public function goBackTo(self $then): void
    {
        [$this->count, $this->places] = [$then->count, $then->places];
    }

    public function onLine(int $line, string $found, string $expected): void
    {
        $this->count++;
        if (count($this->places) < self::SHOWN) {
            $this->places[] = ['line' => $line, 'found' => Excerpt::of($found), 'expected' => $expected];
        }
    }
}
