<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/** Which of A, E, T, R rides on channel 1, 2, 3, 4; for example `AETR`. Immutable, always a permutation. */
final readonly class ChannelOrder
{
    /** The four main controls ride on the first four channels; what lies beyond is an auxiliary. */
    public const STICKS = 4;

    /** @param  list<Letter>  $letters */
    private function __construct(private array $letters)
    {
    }

    /** @throws InvalidChannelOrder unless each of A, E, T, R is named once. */
    public static function of(string $letters): self
    {
        $sorted = str_split($letters);
        sort($sorted);
        if ($sorted !== ['A', 'E', 'R', 'T']) {
            throw InvalidChannelOrder::notAPermutation($letters);
        }

        return new self(array_map(Letter::from(...), str_split($letters)));
    }

    public static function tryOf(?string $letters): ?self
    {
        try {
            return $letters === null ? null : self::of($letters);
        } catch (InvalidChannelOrder) {
            return null;
        }
    }

    /** @param  array<int, Letter>  $byChannel Letters by channel 1–4, in any sequence. */
    public static function fromChannels(array $byChannel): self
    {
        ksort($byChannel);

        return self::of(implode('', array_map(static fn (Letter $letter): string => $letter->value, $byChannel)));
    }

    /** @return list<self> All twenty-four. */
    public static function all(): array
    {
        $orders = [''];
        foreach (range(1, 4) as $ignored) {
            $longer = [];
            foreach ($orders as $order) {
                foreach (Letter::cases() as $letter) {
                    if (! str_contains($order, $letter->value)) {
                        $longer[] = $order.$letter->value;
                    }
                }
            }
            $orders = $longer;
        }

        return array_map(self::of(...), $orders);
    }

    /** @param  int<1, 4>  $channel */
    public function at(int $channel): Letter
    {
        return $this->letters[$channel - 1];
    }

    /** @return int<1, 4> */
    public function channelOf(Letter $letter): int
    {
        /** @var int<0, 3> $position */
        $position = array_search($letter, $this->letters, true);

        return $position + 1;
    }

    /** @return list<Letter> */
    public function letters(): array
    {
        return $this->letters;
    }

    public function equals(self $that): bool
    {
        return $this->letters === $that->letters;
    }

    public function toString(): string
    {
        return implode('', array_map(static fn (Letter $letter): string => $letter->value, $this->letters));
    }
}
