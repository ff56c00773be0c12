<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/**
 * Frames told by their header, length, check and ending.
 *
 * Without a check a header may stand inside a frame too: the first place is taken that a silence precedes, that follows the
 * last sound frame by whole frames, or where three frames running hold; it is kept until it fails.
 */
final class HeaderFramer implements Framer
{
    /** Frames running that make a start without a check believable. */
    private const RUNNING = 3;

    /** A silence of more than two byte times may split frames; the byte itself takes one. */
    private const SILENT_BYTE_TIMES = 3;

    private FrameLayout $layout;

    private Stretch $stretch;

    private string $buffer = '';

    /** @var list<float> */
    private array $times = [];

    /** Offset of the buffer's first byte in the capture. */
    private int $base = 0;

    /** Where the next frame is expected. */
    private ?int $expected = null;

    private float $silenceUs;

    public function __construct(FormatCard $card)
    {
        $this->layout = new FrameLayout($card);
        $this->stretch = new Stretch(max(1, $this->layout->smallest));
        $this->silenceUs = $card->durationMs(1) * 1000 * self::SILENT_BYTE_TIMES;
    }

    public function push(TimedBytes $some, FrameSink $sink): void
    {
        $this->buffer .= $some->bytes;
        array_push($this->times, ...$some->times);
        $this->consume($this->scan($sink, false));
    }

    public function finish(FrameSink $sink): void
    {
        $this->scan($sink, true);
        $this->stretch->end($this->base + strlen($this->buffer), $sink);
        $this->consume(strlen($this->buffer));
    }

    /** @return int How many bytes are done with. */
    private function scan(FrameSink $sink, bool $isLast): int
    {
        $at = 0;
        while ($at < strlen($this->buffer)) {
            $next = $this->step($at, $isLast, $sink);
            if ($next === null) {
                break;
            }
            $at = $next;
        }

        return min($at, strlen($this->buffer));
    }

    /** @return int|null Where to go on; null: more bytes are needed to tell. */
    private function step(int $at, bool $isLast, FrameSink $sink): ?int
    {
        $isExpected = $this->layout->isChecked || $this->base + $at === $this->expected;
        $run = $isExpected ? $this->layout->run($this->buffer, $at) : 0;
        if ($run > 0) {
            return $this->emit($at, $this->layout->smallest, $run, $sink);
        }
        $size = $this->layout->sizeAt($this->buffer, $at);
        if ($size === null || $at + $size > strlen($this->buffer)) {
            return $isLast ? $this->lose($at, 'short', true, $sink) : null;
        }
        $fault = $size === 0 ? 'header' : $this->layout->fault(substr($this->buffer, $at, $size));
        $trust = $fault !== null ? false : ($isExpected ? true : $this->trust($at, $size, $isLast));

        return match (true) {
            $fault !== null => $this->lose($at, $fault, $isLast, $sink),
            $trust === null => null,
            $trust => $this->emit($at, $size, 1, $sink),
            default => $this->lose($at, 'header', $isLast, $sink),
        };
    }

    /**
     * No frame with channels starts here: it may be one of another type.
     *
     * @return int|null Where to go on; null: more bytes are needed to tell.
     */
    private function lose(int $at, string $fault, bool $isLast, FrameSink $sink): ?int
    {
        $other = $fault === 'header' ? null : $this->layout->otherAt($this->buffer, $at);
        if ($other !== null && $this->isInStep($at, $other->size)) {
            $this->stretch->close($this->base + $at, $other->size, $sink);
            $sink->other($other->type, substr($this->buffer, $at, $other->size), $this->base + $at, $this->times[$at] ?? null);
            $this->expected = $this->base + $at + $other->size;

            return $at + $other->size;
        }
        if (! $isLast && $fault !== 'header' && $this->mayBeOther($at)) {
            return null;
        }
        $this->stretch->open($this->base + $at, $fault, $this->times[$at] ?? null);
        $next = strpos($this->buffer, $this->layout->head, $at + 1);

        return $next === false ? max($at + 1, strlen($this->buffer) - strlen($this->layout->head) + 1) : $next;
    }

    /** @return int Where the next frame is expected. */
    private function emit(int $at, int $size, int $count, FrameSink $sink): int
    {
        assert($size > 0);
        $this->stretch->close($this->base + $at, $size, $sink);
        $times = [];
        for ($k = 0; $k < $count && $this->times !== []; $k++) {
            $times[] = $this->times[$at + $k * $size];
        }
        $sink->frames(new FrameRun(substr($this->buffer, $at, $count * $size), $size, $this->base + $at, $times));
        $this->expected = $this->base + $at + $count * $size;

        return $at + $count * $size;
    }

    /** May a frame without a check start here? Null: more bytes are needed to tell. */
    private function trust(int $at, int $size, bool $isLast): ?bool
    {
        if (isset($this->times[$at]) && ($at === 0 ? $this->base === 0 : $this->silenceUs < $this->times[$at] - $this->times[$at - 1])) {
            return true;
        }
        if ($this->expected !== null && ($this->base + $at - $this->expected) % $size === 0) {
            return true;
        }
        for ($k = 1; $k < self::RUNNING; $k++) {
            $next = $at + $k * $size;
            if ($next + $size > strlen($this->buffer)) {
                return $isLast ? true : null;
            }
            if ($this->layout->fault(substr($this->buffer, $next, $size)) !== null) {
                return false;
            }
        }

        return true;
    }

    /** A short check holds by chance now and then: a frame of another type must follow a sound one, or be followed by a header. */
    private function isInStep(int $at, int $size): bool
    {
        return $this->base + $at === $this->expected || $at + $size === strlen($this->buffer) || substr_compare($this->buffer, $this->layout->head, $at + $size, strlen($this->layout->head)) === 0;
    }

    /** Too few bytes are there to rule out a longer frame of another type. */
    private function mayBeOther(int $at): bool
    {
        return $this->layout->otherSizeAt($this->buffer, $at) > strlen($this->buffer) - $at;
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
