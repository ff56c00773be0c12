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
     * @param  list<array{function: string, channel: int}>  $functions  As they are now.
     * @param  array<int, string|null>  $reserved  By channel: the only function allowed there; null: none.
     * @param  list<int>  $fixed  Channels of functions that cannot move (the four sticks).
     */
    public function __construct(private array $functions, private array $reserved, private int $channels, private array $fixed = [1, 2, 3, 4])
    {
    }

    /**
     * What is wrong now: `shared` with another function, `reserved` for another, or `beyond` what gets through.
     *
     * @return list<array{function: string, channel: int, clash: string, with: string|null}>
     */
    public function clashes(): array
    {
        $clashes = [];
        $seen = [];
        foreach ($this->functions as ['function' => $function, 'channel' => $channel]) {
            if ($channel > $this->channels) {
                $clashes[] = ['function' => $function, 'channel' => $channel, 'clash' => 'beyond', 'with' => null];
            }
            if ($this->isForbidden($function, $channel)) {
                $clashes[] = ['function' => $function, 'channel' => $channel, 'clash' => 'reserved', 'with' => $this->reserved[$channel]];
            }
            if (isset($seen[$channel])) {
                $clashes[] = ['function' => $function, 'channel' => $channel, 'clash' => 'shared', 'with' => $seen[$channel]];
            }
            $seen[$channel] ??= $function;
        }

        return $clashes;
    }

    /**
     * The fewest moves that leave nothing wrong; null if there is no room.
     *
     * A function reserved for a channel goes there; then those that are right where they are stay; the rest take the lowest free ones.
     *
     * @return list<array{function: string, from: int, to: int}>|null
     */
    public function moves(): ?array
    {
        $placed = [];
        foreach ($this->functions as ['function' => $function, 'channel' => $channel]) {
            $own = array_search($function, $this->reserved, true);
            if (is_int($own) && $own <= $this->channels && ! isset($placed[$own])) {
                $placed[$own] = $function;
            } elseif (! isset($placed[$channel]) && $channel <= $this->channels && ! $this->isForbidden($function, $channel) && ! $this->isWantedByOwner($channel)) {
                $placed[$channel] = $function;
            }
        }
        foreach ($this->functions as ['function' => $function]) {
            if (! in_array($function, $placed, true)) {
                $free = $this->lowestFree($placed, $function);
                if ($free === null) {
                    return null;
                }
                $placed[$free] = $function;
            }
        }

        return $this->differences($placed);
    }

    private function isForbidden(string $function, int $channel): bool
    {
        return array_key_exists($channel, $this->reserved) && $this->reserved[$channel] !== $function;
    }

    /** Whether the function this channel is reserved for is among ours. */
    private function isWantedByOwner(int $channel): bool
    {
        $owner = $this->reserved[$channel] ?? null;

        return $owner !== null && in_array($owner, array_column($this->functions, 'function'), true);
    }

    /** @param  array<int, string>  $placed */
    private function lowestFree(array $placed, string $function): ?int
    {
        for ($channel = 1; $channel <= $this->channels; $channel++) {
            if (! isset($placed[$channel]) && ! in_array($channel, $this->fixed, true) && ! $this->isForbidden($function, $channel) && ! array_key_exists($channel, $this->reserved)) {
                return $channel;
            }
        }

        return null;
    }

    /**
     * @param  array<int, string>  $placed
     * @return list<array{function: string, from: int, to: int}>
     */
    private function differences(array $placed): array
    {
        $moves = [];
        foreach ($this->functions as ['function' => $function, 'channel' => $from]) {
            $to = (int) array_search($function, $placed, true);
            if ($to !== $from) {
                $moves[] = ['function' => $function, 'from' => $from, 'to' => $to];
            }
        }

        return $moves;
    }
}
