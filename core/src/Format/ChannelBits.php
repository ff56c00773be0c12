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
            'packed' => $this->unpackBits($bytes, $channels),
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

    /** @return array<int, int> */
    private function unpackBits(string $bytes, int $channels): array
    {
        $plan = $this->plans[$channels] ??= $this->plan($channels);
        /** @var array<int, int> $words */
        $words = unpack($this->isLowFirst ? 'P*' : 'J*', str_pad($bytes, (strlen($bytes) + 7) & ~7, "\0"));
        $mask = $this->mask;
        $counts = [];
        $channel = 0;
        foreach ($plan as [$word, $shift, $over]) {
            $value = $words[$word] >> $shift;
            if ($over > 0) {
                $value = $this->isLowFirst
                    ? $value & (1 << (self::WORD_BITS - $shift)) - 1 | $words[$word + 1] << (self::WORD_BITS - $shift)
                    : $words[$word] << $over | $words[$word + 1] >> (self::WORD_BITS - $over) & (1 << $over) - 1;
            }
            $counts[++$channel] = $value & $mask;
        }

        return $counts;
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
