<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** A check over the bytes of a frame: a sum, its complement, or a cyclic redundancy check (most significant bit first, not reflected). */
final readonly class Check
{
    /** @var list<int> What each value of the top byte adds; empty for sums. */
    private array $table;

    private function __construct(private string $kind, private int $width, private int $init, int $poly, private string $word)
    {
        $this->table = str_starts_with($kind, 'crc') ? self::table($width, $poly) : [];
    }

    public static function of(Part $part): self
    {
        return new self(
            $part->node->text('check'),
            8 * $part->checkBytes(),
            $part->node->intOrNull('init') ?? 0,
            $part->node->intOrNull('poly') ?? 0,
            $part->checkBytes() === 1 ? 'C' : $part->word(),
        );
    }

    /** The check as it stands on the wire. */
    public function bytes(string $covered): string
    {
        return pack($this->word, match ($this->kind) {
            'crc8' => $this->crc8($covered),
            'crc16' => $this->crc16($covered),
            'sum8', 'sum16' => self::sum($covered) & $this->mask(),
            'complement8', 'complement16' => $this->mask() - self::sum($covered) & $this->mask(),
            default => 0xFF - self::carrySum($covered),
        });
    }

    /**
     * How many frames at the begin of a run are sound.
     *
     * @param  positive-int  $size  Bytes of each frame.
     * @param  int  $from  First byte covered.
     * @param  int  $at  Where the check stands.
     */
    public function sound(string $run, int $size, int $from, int $at): int
    {
        $bytes = intdiv($this->width, 8);
        for ($k = 0, $n = strlen($run); $k + $size <= $n; $k += $size) {
            if ($this->kind === 'crc8') {
                if ($this->crc8Of($run, $k + $from, $at - $from) !== ord($run[$k + $at])) {
                    break;
                }
            } elseif (substr_compare($run, $this->bytes(substr($run, $k + $from, $at - $from)), $k + $at, $bytes) !== 0) {
                break;
            }
        }

        return intdiv($k, $size);
    }

    /** The same as `crc8`, eight bytes at a time: two to three times as quick. */
    private function crc8Of(string $bytes, int $from, int $length): int
    {
        $crc = $this->init;
        $table = $this->table;
        /** @var array<int, int> $words */
        $words = unpack('P'.($length >> 3), $bytes, $from);
        $whole = $length >> 3;
        for ($k = 1; $k <= $whole; $k++) {
            $word = $words[$k];
            $crc = $table[$crc ^ $word & 255];
            $crc = $table[$crc ^ $word >> 8 & 255];
            $crc = $table[$crc ^ $word >> 16 & 255];
            $crc = $table[$crc ^ $word >> 24 & 255];
            $crc = $table[$crc ^ $word >> 32 & 255];
            $crc = $table[$crc ^ $word >> 40 & 255];
            $crc = $table[$crc ^ $word >> 48 & 255];
            $crc = $table[$crc ^ $word >> 56 & 255];
        }
        for ($k = $whole << 3; $k < $length; $k++) {
            $crc = $table[$crc ^ ord($bytes[$from + $k])];
        }

        return $crc;
    }

    private function mask(): int
    {
        return (1 << $this->width) - 1;
    }

    private function crc8(string $bytes): int
    {
        $crc = $this->init;
        $table = $this->table;
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $crc = $table[$crc ^ ord($bytes[$k])];
        }

        return $crc;
    }

    private function crc16(string $bytes): int
    {
        $crc = $this->init;
        $table = $this->table;
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $crc = ($crc << 8 & 0xFFFF) ^ $table[$crc >> 8 ^ ord($bytes[$k])];
        }

        return $crc;
    }

    private static function sum(string $bytes): int
    {
        $sum = 0;
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $sum += ord($bytes[$k]);
        }

        return $sum;
    }

    /** Each carry out of eight bits is folded back in. */
    private static function carrySum(string $bytes): int
    {
        $sum = self::sum($bytes);
        while ($sum > 0xFF) {
            $sum = ($sum & 0xFF) + ($sum >> 8);
        }

        return $sum;
    }

    /** @return list<int> */
    private static function table(int $width, int $poly): array
    {
        $top = 1 << ($width - 1);
        $mask = (1 << $width) - 1;
        $table = [];
        for ($byte = 0; $byte < 256; $byte++) {
            $crc = $byte << ($width - 8);
            for ($bit = 0; $bit < 8; $bit++) {
                $crc = ($crc & $top) !== 0 ? ($crc << 1 ^ $poly) & $mask : $crc << 1 & $mask;
            }
            $table[] = $crc;
        }

        return $table;
    }
}
