<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What moved at one time: one channel by most, and others with it. */
final readonly class Event
{
    /** With another one that goes so far beside it (as a share) nobody knows which was meant. */
    private const AS_FAR = 0.8;

    /**
     * @param  non-empty-list<Way>  $ways  Of the channel that went furthest, one after the other.
     * @param  list<int>  $also  Channels that moved with it.
     */
    private function __construct(public array $ways, public array $also, private bool $isDoubtful)
    {
    }

    /** @param  non-empty-list<Way>  $ways  Of any channels, in the order of their time. */
    public static function of(array $ways): self
    {
        $byChannel = [];
        foreach ($ways as $way) {
            $byChannel[$way->line->channel][] = $way;
        }
        uasort($byChannel, static fn (array $a, array $b): int => self::swing($b) <=> self::swing($a));
        $furthest = array_values($byChannel)[0];
        $second = array_values($byChannel)[1] ?? null;
        $also = array_values(array_filter(array_keys($byChannel), static fn (int $channel): bool => $channel !== $furthest[0]->line->channel));
        sort($also);

        return new self($furthest, $also, $second !== null && self::swing($second) >= self::AS_FAR * self::swing($furthest));
    }

    /** The same channel again, directly after. */
    public function and(self $next): self
    {
        $also = array_values(array_unique([...$this->also, ...$next->also]));
        sort($also);

        return new self([...$this->ways, ...$next->ways], $also, $this->isDoubtful || $next->isDoubtful);
    }

    public function channel(): int
    {
        return $this->ways[0]->line->channel;
    }

    /** Read as this move; null: it is not, or another channel may have been meant. */
    public function as(Move $move): ?Attempts
    {
        return $this->isDoubtful ? null : Attempts::of($move, $this->ways);
    }

    /** @param  non-empty-list<Way>  $ways */
    private static function swing(array $ways): float
    {
        return max(array_map(static fn (Way $way): float => $way->swingUs(), $ways));
    }
}
