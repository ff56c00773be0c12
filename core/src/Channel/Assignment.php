<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/**
 * Puts functions on channels so that none shares one, none sits on a channel the link keeps for something else,
 * and none lies beyond what gets through; changing as little as possible.
 */
final readonly class Assignment
{
    /**
     * @param  Functions  $functions  As they are now.
     * @param  array<int, string|null>  $reserved  By channel: the only function allowed there; null: none.
     * @param  int  $channels  How many get through.
     */
    public function __construct(private Functions $functions, private array $reserved, private int $channels)
    {
    }

    /** @return list<Clash> What is wrong now. */
    public function clashes(): array
    {
        [$clashes, $seen] = [[], []];
        foreach ($this->functions as $entry) {
            if ($entry->channel > $this->channels) {
                $clashes[] = new Clash($entry, ClashKind::Beyond);
            }
            if ($this->isForbidden($entry->function, $entry->channel)) {
                $clashes[] = new Clash($entry, ClashKind::Reserved, $this->reserved[$entry->channel]);
            }
            if (isset($seen[$entry->channel])) {
                $clashes[] = new Clash($entry, ClashKind::Shared, $seen[$entry->channel]);
            }
            $seen[$entry->channel] ??= $entry->function;
        }

        return $clashes;
    }

    /**
     * The fewest moves that leave nothing wrong; null if there is no room.
     *
     * A function reserved for a channel goes there; then those that are right where they are stay; the rest take the lowest free ones.
     *
     * @return list<Move>|null
     */
    public function moves(): ?array
    {
        $placed = [];
        foreach ($this->functions as $entry) {
            $own = array_search($entry->function, $this->reserved, true);
            if (is_int($own) && $own <= $this->channels && ! isset($placed[$own])) {
                $placed[$own] = $entry->function;
            } elseif ($this->mayStay($entry, $placed)) {
                $placed[$entry->channel] = $entry->function;
            }
        }
        foreach ($this->functions as $entry) {
            if (! in_array($entry->function, $placed, true)) {
                $free = $this->lowestFree($placed);
                if ($free === null) {
                    return null;
                }
                $placed[$free] = $entry->function;
            }
        }

        return $this->differences($placed);
    }

    /** @param  array<int, string>  $placed */
    private function mayStay(FunctionChannel $entry, array $placed): bool
    {
        return ! isset($placed[$entry->channel]) && $entry->channel <= $this->channels && ! $this->isForbidden($entry->function, $entry->channel) && ! $this->isWantedByOwner($entry->channel);
    }

    private function isForbidden(string $function, int $channel): bool
    {
        return array_key_exists($channel, $this->reserved) && $this->reserved[$channel] !== $function;
    }

    /** Whether the function this channel is reserved for is among ours. */
    private function isWantedByOwner(int $channel): bool
    {
        $owner = $this->reserved[$channel] ?? null;

        return $owner !== null && $this->functions->has($owner);
    }

    /**
     * The lowest channel beyond the sticks that nothing sits on and the link does not keep.
     *
     * @param  array<int, string>  $placed
     */
    private function lowestFree(array $placed): ?int
    {
        for ($channel = ChannelOrder::STICKS + 1; $channel <= $this->channels; $channel++) {
            if (! isset($placed[$channel]) && ! array_key_exists($channel, $this->reserved)) {
                return $channel;
            }
        }

        return null;
    }

    /**
     * @param  array<int, string>  $placed
     * @return list<Move>
     */
    private function differences(array $placed): array
    {
        $moves = [];
        foreach ($this->functions as $entry) {
            $to = (int) array_search($entry->function, $placed, true);
            if ($to !== $entry->channel) {
                $moves[] = new Move($entry->function, $entry->channel, $to);
            }
        }

        return $moves;
    }
}
