<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Channel counts to the bytes that carry them, and back. */
final class ChannelBits
{
    private const UNUSED_WORD = 0xFFFF;

    private const WORD_BITS = 64;

    private string $kind;

    private int $bits;

    /** Ones in the bits of one count. */
    private int $mask;

    private ?int $secondBit;

    private int $inFrame;

    private bool $isLowFirst;

    /** unpack() letter of one word. */
    private string $word;

    /** @var array<int, list<array{int, int, int}>> Per number of channels: which 64-bit word, how far to shift, how many bits stand in the next word. */
    private array $plans = [];

    public function __construct(Part $part)
    {
        $this->kind = $part->node->text('channels');
        $this->bits = $part->valueBits();
        $this->mask = $this->kind === 'words' ? ($part->node->intOrNull('mask') ?? 0xFFFF) : (1 << $this->bits) - 1;
        $this->secondBit = $part->node->intOrNull('second_bit');
        $this->inFrame = $part->node->intOrNull('in_frame') ?? 0;
        $this->isLowFirst = $part->node->textOrNull('first') !== 'msb';
        $this->word = $this->kind === 'tagged' ? 'n' : $part->word();
    }

    /** How many bytes so many channels take. */
    public function size(int $channels): int
    {
        return $this->kind === 'packed' ? intdiv($channels * $this->bits + 7, 8) : 2 * $channels;
    }

    public function isPacked(): bool
    {
        return $this->kind === 'packed';
    }

    /**
     * Packed channels of frames right behind one another, channel by channel: whole columns cost far less than single values.
     *
     * @param  int  $from  Where the channels begin in each frame.
     * @return array<int, list<int>> Counts by channel, from 1, and frame.
     */
    public function unpackRun(string $frames, int $size, int $from, int $channels): array
    {
        $words = $this->words($frames, $size, $from, $channels);
        $mask = $this->mask;
        $columns = [];
        foreach ($this->plans[$channels] ??= $this->plan($channels) as $k => [$at, $shift, $over]) {
            $column = [];
            if ($over === 0) {
                foreach ($words[$at] as $word) {
                    $column[] = $word >> $shift & $mask;
                }
            } elseif ($this->isLowFirst) {
                // A shift to the right brings the sign with it: bits of the next word must not meet it.
                $kept = self::WORD_BITS - $shift;
                $low = (1 << $kept) - 1;
                foreach ($words[$at] as $frame => $word) {
                    $column[] = ($word >> $shift & $low | $words[$at + 1][$frame] << $kept) & $mask;
                }
            } else {
                $low = (1 << $over) - 1;
                foreach ($words[$at] as $frame => $word) {
                    $column[] = ($word << $over | $words[$at + 1][$frame] >> (self::WORD_BITS - $over) & $low) & $mask;
                }
            }
            $columns[$k + 1] = $column;
        }

        return $columns;
    }

    /** @return array<int, list<int>> The 64-bit words of each frame's channels, by position from 1. */
    private function words(string $frames, int $size, int $from, int $channels): array
    {
        $length = $this->size($channels);
        $count = intdiv($length + 7, 8);
        $format = ($this->isLowFirst ? 'P' : 'J').$count;
        $pad = str_repeat("\0", -$length & 7);
        $words = array_fill(1, $count, []);
        for ($start = $from, $n = strlen($frames); $start < $n; $start += $size) {
            /** @var array<int, int> $some */
            $some = unpack($format, substr($frames, $start, $length).$pad);
            foreach ($some as $at => $word) {
                $words[$at][] = $word;
            }
        }

        return $words;
    }

    public function isTagged(): bool
    {
        return $this->kind === 'tagged';
    }

    /** @param  array<int, int>  $counts  By channel, from 1. */
    public function pack(array $counts): string
    {
        return match ($this->kind) {
            'packed' => $this->packBits($counts),
            'words' => pack($this->word.'*', ...array_values($counts)),
            default => $this->packTagged($counts),
        };
    }

    /** @return array<int, int> By channel, from 1. */
    public function unpack(string $bytes, int $channels): array
    {
        return match ($this->kind) {
            'packed' => array_map(static fn (array $column): int => $column[0], $this->unpackRun($bytes, max(1, strlen($bytes)), 0, $channels)),
            'words' => $this->unpackWords($bytes),
            default => $this->unpackTagged($bytes) ?? [],
        };
    }

    /**
     * Channel numbers of a tagged frame name each channel at most once.
     *
     * @return array<int, int>|null Null: a number stands twice, or is none.
     */
    public function unpackTagged(string $bytes): ?array
    {
        $counts = [];
        foreach ((array) unpack('n*', $bytes) as $k => $word) {
            assert(is_int($word));
            if ($word === self::UNUSED_WORD) {
                continue;
            }
            $word = $k === 1 && $this->secondBit !== null ? $word & ~(1 << $this->secondBit) : $word;
            $channel = ($word >> $this->bits) + 1;
            if ($channel > 16 || isset($counts[$channel])) {
                return null;
            }
            $counts[$channel] = $word & $this->mask;
        }

        return $counts;
    }

    /** @param  array<int, int>  $counts */
    private function packBits(array $counts): string
    {
        $bytes = '';
        [$held, $holds] = [0, 0];
        foreach ($counts as $count) {
            $held = $this->isLowFirst ? $held | $count << $holds : $held << $this->bits | $count;
            for ($holds += $this->bits; $holds >= 8; $holds -= 8) {
                $bytes .= chr(($this->isLowFirst ? $held : $held >> ($holds - 8)) & 0xFF);
                $held = $this->isLowFirst ? $held >> 8 : $held & (1 << ($holds - 8)) - 1;
            }
        }

        return $holds > 0 ? $bytes.chr(($this->isLowFirst ? $held : $held << (8 - $holds)) & 0xFF) : $bytes;
    }

    /** @param  array<int, int>  $counts */
    private function packTagged(array $counts): string
    {
        $words = [];
        foreach ($counts as $channel => $count) {
            $words[] = $channel - 1 << $this->bits | $count;
        }
        if ($this->secondBit !== null && array_key_first($counts) > $this->inFrame) {
            $words[0] |= 1 << $this->secondBit;
        }

        return pack('n*', ...$words);
    }

    /** @return array<int, int> */
    private function unpackWords(string $bytes): array
    {
        /** @var array<int, int> $words */
        $words = unpack($this->word.'*', $bytes);
        if ($this->mask !== 0xFFFF) {
            foreach ($words as $channel => $word) {
                $words[$channel] = $word & $this->mask;
            }
        }

        return $words;
    }

    /** @return list<array{int, int, int}> */
    private function plan(int $channels): array
    {
        $plan = [];
        for ($channel = 0; $channel < $channels; $channel++) {
            $bit = $channel * $this->bits;
            $in = $bit % self::WORD_BITS;
            $over = max(0, $in + $this->bits - self::WORD_BITS);
            $plan[] = [intdiv($bit, self::WORD_BITS) + 1, $this->isLowFirst ? $in : max(0, self::WORD_BITS - $in - $this->bits), $over];
        }

        return $plan;
    }
}
