<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Reads one whole frame by its card. */
final readonly class FrameReader
{
    public function __construct(private FormatCard $card)
    {
    }

    /** @return Frame|string The frame, or why it is none: `short`, `long`, `header`, `length`, `checksum`. */
    public function read(string $wire): Frame|string
    {
        $bytes = $this->unstuffed($wire);
        $count = $this->channelCount($bytes);
        $total = $count === null ? null : $this->size($count);
        if ($total === null || strlen($bytes) !== $total) {
            return $total !== null && strlen($bytes) > $total ? 'long' : 'short';
        }
        [$at, $counts, $flags, $values] = [0, [], [], []];
        foreach ($this->card->parts as $part) {
            $size = $this->partSize($part, $count);
            $chunk = substr($bytes, $at, $size);
            $fault = match ($part->kind) {
                'const' => $chunk === $part->constant() ? null : 'header',
                'length' => ord($chunk) === ord((new Encoder($this->card))->plain(new Frame($this->blank($count)))[$at]) ? null : 'length',
                'check' => $chunk === Check::of($part, substr($bytes, $part->node->int('from'), max(0, $at - $part->node->int('from')))) ? null : 'checksum',
                default => null,
            };
            if ($fault !== null) {
                return $fault;
            }
            if ($part->kind === 'channels') {
                $counts = $this->counts($part, $chunk, $count);
            } elseif ($part->kind === 'flags') {
                $flags = array_map(static fn (int $bit): bool => (ord($chunk) >> $bit & 1) === 1, $part->flagBits());
            } elseif ($part->kind === 'value') {
                $values[$part->node->text('value')] = ord($chunk);
            }
            $at += $size;
        }

        return new Frame($counts, $flags, $values);
    }

    /** @return array<int, int> */
    private function counts(Part $part, string $chunk, int $count): array
    {
        $kind = $part->node->text('channels');
        if ($kind === 'packed') {
            return self::unpacked($chunk, $part->node->int('bits'), $count);
        }
        $words = array_values(array_filter((array) unpack(($kind === 'words' ? $part->word() : 'n').'*', $chunk), is_int(...)));
        if ($kind === 'words') {
            $mask = $part->node->intOrNull('mask') ?? 0xFFFF;

            return array_combine(range(1, $count), array_map(static fn (int $word): int => $word & $mask, $words));
        }
        $counts = [];
        foreach ($words as $k => $word) {
            $second = $part->node->intOrNull('second_bit');
            $word = $k === 0 && $second !== null && $word !== 0xFFFF ? $word & ~(1 << $second) : $word;
            if ($word !== 0xFFFF) {
                $counts[($word >> $part->node->int('bits')) + 1] = $word & (1 << $part->node->int('bits')) - 1;
            }
        }

        return $counts;
    }

    /** @return array<int, int> */
    private static function unpacked(string $chunk, int $bits, int $count): array
    {
        $counts = [];
        [$held, $holds, $at] = [0, 0, 0];
        for ($channel = 1; $channel <= $count; $channel++) {
            for (; $holds < $bits; $holds += 8) {
                $held |= ord($chunk[$at++]) << $holds;
            }
            $counts[$channel] = $held & (1 << $bits) - 1;
            $held >>= $bits;
            $holds -= $bits;
        }

        return $counts;
    }

    /** How many channels this frame says it has, or the card always has; null: it breaks off before saying. */
    private function channelCount(string $bytes): ?int
    {
        $at = 0;
        foreach ($this->card->parts as $part) {
            if ($part->kind === 'count') {
                $count = isset($bytes[$at]) ? ord($bytes[$at]) : 0;

                return $count >= $this->card->fewestChannels && $count <= $this->card->mostChannels ? $count : null;
            }
            if ($part->kind === 'channels') {
                break;
            }
            $at += $this->partSize($part, 0);
        }

        return $this->card->channelPart()->node->intOrNull('in_frame') ?? $this->card->mostChannels;
    }

    private function size(int $count): int
    {
        return (int) array_sum(array_map(fn (Part $part): int => $this->partSize($part, $count), $this->card->parts));
    }

    private function partSize(Part $part, int $count): int
    {
        return match ($part->kind) {
            'const' => strlen((string) $part->constant()),
            'channels' => $part->node->text('channels') === 'packed' ? intdiv($count * $part->node->int('bits') + 7, 8) : 2 * $count,
            'check' => $part->checkBytes(),
            default => 1,
        };
    }

    /** @return array<int, int> */
    private function blank(int $count): array
    {
        return array_fill(1, $count, $this->card->scale->centre);
    }

    private function unstuffed(string $wire): string
    {
        $stuffing = $this->card->stuffing;
        if ($stuffing === null || strlen($wire) < 2) {
            return $wire;
        }
        $bytes = '';
        for ($k = 1, $n = strlen($wire) - 1; $k < $n; $k++) {
            $bytes .= ord($wire[$k]) === $stuffing['escape'] && $k + 1 < $n ? chr(ord($wire[++$k]) ^ $stuffing['xor']) : $wire[$k];
        }

        return $wire[0].$bytes.$wire[-1];
    }
}
