<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Makes the bytes of a frame from its card. */
final readonly class Encoder
{
    private ChannelBits $bits;

    /** @var array<int, Check> By position of the part. */
    private array $checks;

    public function __construct(private FormatCard $card)
    {
        $this->bits = new ChannelBits($card->channelPart());
        $this->checks = array_map(Check::of(...), array_filter($card->parts, static fn (Part $part): bool => $part->kind === 'check'));
    }

    /** The bytes as they go onto the wire. */
    public function encode(Frame $frame): string
    {
        $plain = $this->plain($frame);

        return $this->card->stuffing?->add($plain) ?? $plain;
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
        foreach ($this->checks as $k => $check) {
            $from = $this->card->parts[$k]->node->int('from');
            $bytes = substr_replace($bytes, $check->bytes(substr($bytes, $from, max(0, $offsets[$k] - $from))), $offsets[$k], $this->card->parts[$k]->checkBytes());
        }

        return $bytes;
    }

    private function chunk(Part $part, Frame $frame): string
    {
        return match ($part->kind) {
            'const' => (string) $part->constant(),
            'channels' => $this->bits->pack($frame->counts),
            'flags' => chr(self::flags($part, $frame->flags)),
            'count' => chr(count($frame->counts)),
            'value' => chr($frame->values[$part->node->text('value')] ?? $part->node->intOrNull('default') ?? 0),
            // Length and check are filled in when the rest stands.
            'check' => str_repeat("\0", $part->checkBytes()),
            default => "\0",
        };
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
}
