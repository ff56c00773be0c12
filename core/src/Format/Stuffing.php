<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Bytes that would be taken for the start or the end of a frame are sent as an escape and the byte XOR a constant. */
final readonly class Stuffing
{
    public function __construct(private string $head, private string $tail, private int $escape, private int $xor)
    {
    }

    public static function of(FormatCard $card): ?self
    {
        return $card->stuffing === null ? null : new self(
            (string) $card->parts[0]->constant(),
            (string) $card->parts[count($card->parts) - 1]->constant(),
            $card->stuffing['escape'],
            $card->stuffing['xor'],
        );
    }

    /** A whole frame, first and last byte as they are. */
    public function add(string $frame): string
    {
        $pairs = [];
        foreach ([chr($this->escape), $this->head, $this->tail] as $byte) {
            $pairs[$byte] = chr($this->escape).chr(ord($byte) ^ $this->xor);
        }

        return $frame[0].strtr(substr($frame, 1, -1), $pairs).$frame[-1];
    }

    /** A whole frame, first and last byte as they are. */
    public function remove(string $wire): string
    {
        if (strlen($wire) < 2 || ! str_contains($wire, chr($this->escape))) {
            return $wire;
        }
        $bytes = '';
        for ($k = 1, $n = strlen($wire) - 1; $k < $n; $k++) {
            $bytes .= ord($wire[$k]) === $this->escape && $k + 1 < $n ? chr(ord($wire[++$k]) ^ $this->xor) : $wire[$k];
        }

        return $wire[0].$bytes.$wire[-1];
    }
}
