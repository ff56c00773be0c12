<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** Bytes to the changes of a wire. */
final class UartWriter
{
    /** Level of the wire now. */
    private int $level;

    /** @var list<int> */
    private array $parity;

    public function __construct(private readonly LineSetting $line)
    {
        $this->level = $this->idleLevel();
        $this->parity = Parity::table($line->parity);
    }

    public function idleLevel(): int
    {
        return $this->line->isInverted ? 0 : 1;
    }

    /**
     * Bytes one after the other without a pause; the wire idles behind them.
     *
     * @param  float  $startUs  Begin of the first start bit.
     */
    public function write(string $bytes, float $startUs): Edges
    {
        $first = $this->level ^ 1;
        $times = [];
        $invert = $this->line->isInverted ? 1 : 0;
        for ($k = 0, $n = strlen($bytes); $k < $n; $k++) {
            $byte = ord($bytes[$k]);
            $bits = $byte << 1 | 1 << $this->line->stopAt() | (($this->parity[$byte] ?? 0) << 9);
            $begin = $startUs + $k * $this->line->byteUs();
            for ($bit = 0; $bit <= $this->line->stopAt(); $bit++) {
                $level = ($bits >> $bit & 1) ^ $invert;
                if ($level !== $this->level) {
                    $times[] = $begin + $bit * $this->line->bitUs;
                    $this->level = $level;
                }
            }
        }

        return new Edges($first, $times);
    }
}
