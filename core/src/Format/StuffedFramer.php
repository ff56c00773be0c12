<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/** Frames between two marks that appear nowhere else, because everything between is escaped. */
final class StuffedFramer implements Framer
{
    private FrameLayout $layout;

    private Stretch $stretch;

    private string $buffer = '';

    /** @var list<float> */
    private array $times = [];

    private int $base = 0;

    /** Bytes on the wire that the longest frame can take, every byte of it escaped. */
    private int $longest;

    private Stuffing $stuffing;

    /** Position of the mark that ended the last sound frame: it may begin the next one as well. */
    private ?int $shared = null;

    public function __construct(FormatCard $card)
    {
        $this->layout = new FrameLayout($card);
        $this->stuffing = $card->stuffing ?? throw new \LogicException('A card without stuffing needs another framer.');
        $this->stretch = new Stretch(max(1, $this->layout->smallest));
        $this->longest = 2 * max($this->layout->largest, 0x100);
    }

    public function push(TimedBytes $some, FrameSink $sink): void
    {
        $this->buffer .= $some->bytes;
        array_push($this->times, ...$some->times);
        $this->consume($this->scan($sink));
    }

    public function finish(FrameSink $sink): void
    {
        if (strlen($this->buffer) > 1 || $this->shared !== $this->base) {
            $this->stretch->open($this->base, 'short', $this->times[0] ?? null);
        }
        $this->stretch->end($this->base + strlen($this->buffer), $sink);
        $this->consume(strlen($this->buffer));
    }

    /** @return int How many bytes are done with. */
    private function scan(FrameSink $sink): int
    {
        [$head, $tail] = [$this->layout->head, $this->layout->tail];
        $buffer = $this->buffer;
        $length = strlen($buffer);
        $at = 0;
        while (true) {
            $start = strpos($buffer, $head, $at);
            if ($start === false) {
                $this->lost($at, $length, 'header');

                return $length;
            }
            $this->lost($at, $start, 'header');
            $end = $start + 1 + strcspn($buffer, $head.$tail, $start + 1);
            if ($end >= $length) {
                if ($length - $start <= $this->longest) {
                    return $start;
                }
                $this->lost($start, $end, 'long');
                $at = $end;

                continue;
            }
            $at = $this->take($start, $end, $sink);
        }
    }

    /** @return int Where to go on. */
    private function take(int $start, int $end, FrameSink $sink): int
    {
        $isShared = $this->shared === $this->base + $start;
        if ($end === $start + 1) {
            $isShared || $this->lost($start, $end, 'ending');

            return $end;
        }
        $frame = $this->stuffing->remove(substr($this->buffer, $start, $end + 1 - $start));
        $fault = $this->faultOf($frame);
        $other = $fault === null ? null : $this->layout->otherAt($frame, 0);
        if ($fault !== null && ($other === null || $other->size !== strlen($frame))) {
            // Behind a sound frame: what stands there is no frame that this mark began.
            $isShared ? $this->lost($start + 1, $end, 'header') : $this->lost($start, $end, $fault);

            return $end;
        }
        $this->stretch->close($this->base + $start, $end + 1 - $start, $sink);
        $us = $this->times[$start] ?? null;
        $other === null ? $sink->frames(new FrameRun($frame, max(1, strlen($frame)), $this->base + $start, $us === null ? [] : [$us])) : $sink->other($other->type, $frame, $this->base + $start, $us);

        if ($this->layout->head !== $this->layout->tail) {
            return $end + 1;
        }
        $this->shared = $this->base + $end;

        return $end;
    }

    private function faultOf(string $frame): ?string
    {
        $size = $this->layout->sizeAt($frame, 0) ?? $this->layout->smallest;

        return strlen($frame) === $size ? $this->layout->fault($frame) : (strlen($frame) < $size ? 'short' : 'long');
    }

    private function lost(int $from, int $to, string $reason): void
    {
        if ($to > $from) {
            $this->stretch->open($this->base + $from, $reason, $this->times[$from] ?? null);
        }
    }

    private function consume(int $bytes): void
    {
        if ($bytes > 0) {
            $this->buffer = substr($this->buffer, $bytes);
            $this->times = $this->times === [] ? [] : array_slice($this->times, $bytes);
            $this->base += $bytes;
        }
    }
}
