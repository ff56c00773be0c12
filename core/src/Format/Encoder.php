<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Makes the bytes of a frame from its card. */
final readonly class Encoder
{
    public function __construct(private FormatCard $card)
    {
    }

    /** The bytes as they go onto the wire. */
    public function encode(Frame $frame): string
    {
        return $this->stuffed($this->plain($frame));
    }

    /** The bytes before any are escaped: what the duration of a frame is counted in. */
    public function plain(Frame $frame): string
    {
        $chunks = array_map(fn (Part $part): string => $this->chunk($part, $frame), $this->card->parts);
        $offsets = [];
        $at = 0;
        foreach ($chunks as $chunk) {
            $offsets[] = $at;
            $at += strlen($chunk);
        }
        $bytes = implode('', $chunks);
        foreach ($this->card->parts as $k => $part) {
            if ($part->kind === 'length') {
                $bytes[$offsets[$k]] = chr($this->end($part, $offsets, $at) - $offsets[$k] - 1 & 0xFF);
            }
        }
        foreach ($this->card->parts as $k => $part) {
            if ($part->kind === 'check') {
                $from = $part->node->int('from');
                $bytes = substr_replace($bytes, Check::of($part, substr($bytes, $from, max(0, $offsets[$k] - $from))), $offsets[$k], $part->checkBytes());
            }
        }

        return $bytes;
    }

    private function chunk(Part $part, Frame $frame): string
    {
        return match ($part->kind) {
            'const' => (string) $part->constant(),
            'channels' => $this->channels($part, $frame->counts),
            'flags' => chr(self::flags($part, $frame->flags)),
            'count' => chr(count($frame->counts)),
            'value' => chr($frame->values[$part->node->text('value')] ?? $part->node->intOrNull('default') ?? 0),
            // Length and check are filled in when the rest stands.
            'check' => str_repeat("\0", $part->checkBytes()),
            default => "\0",
        };
    }

    /** @param  array<int, int>  $counts */
    private function channels(Part $part, array $counts): string
    {
        return match ($part->node->text('channels')) {
            'packed' => self::packed($counts, $part->node->int('bits')),
            'words' => pack($part->word().'*', ...array_values($counts)),
            default => self::tagged($part, $counts),
        };
    }

    /**
     * Least significant bit first, one channel after the other.
     *
     * @param  array<int, int>  $counts
     */
    private static function packed(array $counts, int $bits): string
    {
        $bytes = '';
        $held = 0;
        $holds = 0;
        foreach ($counts as $count) {
            $held |= $count << $holds;
            for ($holds += $bits; $holds >= 8; $holds -= 8) {
                $bytes .= chr($held & 0xFF);
                $held >>= 8;
            }
        }

        return $holds > 0 ? $bytes.chr($held & 0xFF) : $bytes;
    }

    /** @param  array<int, int>  $counts */
    private static function tagged(Part $part, array $counts): string
    {
        $words = [];
        foreach ($counts as $channel => $count) {
            $words[] = $channel - 1 << $part->node->int('bits') | $count;
        }
        $second = $part->node->intOrNull('second_bit');
        if ($second !== null && array_key_first($counts) > $part->node->int('in_frame')) {
            $words[0] |= 1 << $second;
        }

        return pack('n*', ...$words);
    }

    /** @param  array<string, bool>  $flags */
    private static function flags(Part $part, array $flags): int
    {
        $byte = $part->node->intOrNull('base') ?? 0;
        foreach ($part->flagBits() as $name => $bit) {
            $byte |= ($flags[$name] ?? false) ? 1 << $bit : 0;
        }

        return $byte;
    }

    /** @param  list<int>  $offsets */
    private function end(Part $length, array $offsets, int $total): int
    {
        if ($length->node->text('length') === 'to_check') {
            foreach ($this->card->parts as $k => $part) {
                if ($part->kind === 'check') {
                    return $offsets[$k];
                }
            }
        }

        return $total;
    }

    private function stuffed(string $bytes): string
    {
        $stuffing = $this->card->stuffing;
        if ($stuffing === null) {
            return $bytes;
        }
        $wire = '';
        foreach (str_split(substr($bytes, 1, -1)) as $byte) {
            $wire .= in_array($byte, [$bytes[0], $bytes[-1], chr($stuffing['escape'])], true) ? chr($stuffing['escape']).chr(ord($byte) ^ $stuffing['xor']) : $byte;
        }

        return $bytes[0].$wire.$bytes[-1];
    }
}
