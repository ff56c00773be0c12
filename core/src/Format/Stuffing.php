<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** Bytes that would be taken for the start or the end of a frame are sent as an escape and the byte XOR a constant. */
final readonly class Stuffing
{
    private function __construct(private string $head, private string $tail, public int $escape, private int $xor)
    {
    }

    /**
     * @param  Node  $told  The card's `stuffing`.
     * @param  list<Part>  $parts  Of the card.
     *
     * @throws DocumentError if the frame does not begin and end with constant bytes, or an escaped mark would look like a mark.
     */
    public static function of(Node $told, array $parts): self
    {
        [$head, $tail] = [$parts[0]->constant(), $parts[count($parts) - 1]->constant()];
        if ($head === null || $tail === null || strlen($head) !== 1) {
            throw DocumentError::at('stuffing', 'Expected a frame that begins and ends with one constant byte.');
        }
        [$escape, $xor] = [$told->int('escape'), $told->int('xor')];
        $marks = [ord($head), ord($tail), $escape];
        if (array_intersect($marks, array_map(static fn (int $mark): int => $mark ^ $xor, $marks)) !== []) {
            throw DocumentError::at('stuffing.xor', 'Found an XOR that turns one mark into another; an escaped mark must not look like a mark.');
        }

        return new self($head, $tail, $escape, $xor);
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
