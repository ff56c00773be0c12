<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

use Linguator\Core\Format\TimedBytes;

/**
 * The changes of a wire to bytes. Bits are counted from each start bit, so a clock that is 2 % off is read all the same.
 *
 * A byte whose parity bit is wrong or missing is kept and counted; where a stop bit should be and is not, the byte is dropped and counted.
 */
final class UartReader
{
    public int $bytes = 0;

    public int $parityErrors = 0;

    public int $stopErrors = 0;

    /** @var list<int> Positions in the stream of bytes whose parity bit is wrong, since they were last taken. */
    private array $wrong = [];

    /** Begin of the byte under way; null: the wire idles. */
    private ?float $start = null;

    /** Bits of the byte under way, and how many are decided. */
    private int $held = 0;

    private int $decided = 0;

    /** What the wire sends since the last change: 1 while it idles. */
    private int $now = 1;

    /** @var list<int> */
    private array $parity;

    /** @param  bool  $remembersWrong  Whether somebody takes the positions of bytes of wrong parity. */
    public function __construct(private readonly LineSetting $line, private readonly bool $remembersWrong = false)
    {
        $this->parity = Parity::table($line->parity);
    }

    /** @return list<int> */
    public function takeWrong(): array
    {
        $wrong = $this->wrong;
        $this->wrong = [];

        return $wrong;
    }

    /** Bytes that ended. */
    public function push(Edges $edges): TimedBytes
    {
        $perUs = 1 / $this->line->bitUs;
        $stopAt = $this->line->stopAt();
        $hasParity = $this->parity !== [];
        // 1: the wire idles, or sends a one.
        $after = $edges->level ^ ($this->line->isInverted ? 1 : 0);
        [$start, $held, $decided] = [$this->start, $this->held, $this->decided];
        $bytes = '';
        $times = [];
        foreach ($edges->times as $us) {
            if ($start !== null) {
                $bit = (int) (($us - $start) * $perUs + 0.5);
                if ($bit < $decided) {
                    // Time runs backwards: what is decided stays so.
                    $bit = $decided;
                }
                if ($bit === 0 && $after === 1 && $decided === 0) {
                    // Shorter than half a bit: a glitch, no start bit.
                    $start = null;
                    $after ^= 1;

                    continue;
                }
                if ($after === 0) {
                    // The wire has been at one since the last change.
                    $held |= (1 << min($bit, $stopAt + 1)) - (1 << min($decided, $stopAt + 1));
                }
                $decided = $bit;
                if ($bit > $stopAt || ($hasParity && $bit === $stopAt && $after === 0)) {
                    if ($bit === $stopAt) {
                        // The next byte begins where the stop bit should be: no parity bit was sent.
                        $this->countWrong(strlen($bytes));
                        $bytes .= chr($held >> 1 & 0xFF);
                        $times[] = $start;
                    } elseif (($held >> $stopAt & 1) === 1) {
                        $byte = $held >> 1 & 0xFF;
                        if ($hasParity && ($held >> 9 & 1) !== $this->parity[$byte]) {
                            $this->countWrong(strlen($bytes));
                        }
                        $bytes .= chr($byte);
                        $times[] = $start;
                    } elseif (! $hasParity && $bit === $stopAt + 1) {
                        // One bit too many, then the wire idles: a parity bit nobody asked for.
                        $this->parityErrors++;
                        $bytes .= chr($held >> 1 & 0xFF);
                        $times[] = $start;
                    } else {
                        $this->stopErrors++;
                    }
                    $start = $after === 0 ? $us : null;
                    [$held, $decided] = [0, 0];
                }
            } elseif ($after === 0) {
                [$start, $held, $decided] = [$us, 0, 0];
            }
            $after ^= 1;
        }
        [$this->start, $this->held, $this->decided, $this->now] = [$start, $held, $decided, $after ^ 1];
        $this->bytes += strlen($bytes);

        return new TimedBytes($bytes, $times);
    }

    private function countWrong(int $at): void
    {
        $this->parityErrors++;
        if ($this->remembersWrong) {
            $this->wrong[] = $this->bytes + $at;
        }
    }

    /** No more changes come: the wire stays as it is. */
    public function finish(): TimedBytes
    {
        if ($this->start === null || $this->now === 0) {
            return new TimedBytes('');
        }
        // A change to zero far away ends the byte that idles out.
        $end = $this->push(new Edges($this->line->isInverted ? 1 : 0, [$this->start + 100 * $this->line->bitUs]));
        $this->start = null;

        return $end;
    }
}
