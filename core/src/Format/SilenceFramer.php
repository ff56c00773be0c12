<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

/**
 * Frames that only silence marks.
 *
 * Where the capture has no times, the one phase is taken in which the frames are plausible and name their channels steadily.
 */
final class SilenceFramer implements Framer
{
    /** Frames that are looked at to find the phase. */
    private const LOOKED_AT = 64;

    private const FEWEST = 3;

    /** Share of frames in the right phase that must be sound: little will do where a check or channel numbers speak for it. */
    private const STEADY = ['told' => 0.3, 'untold' => 0.75];

    /** What such a phase is worth beside one without it. */
    private const SAME_CHANNEL_IN_BOTH = 0.5;

    private const OUT_OF_ORDER = 0.8;

    /** A silence may look a little shorter than it is. */
    private const SILENCE_TOLERANCE = 0.95;

    private const PLAUSIBLE_US = [800.0, 2200.0];

    private FrameLayout $layout;

    private Stretch $stretch;

    private int $size;

    private string $buffer = '';

    /** @var list<float> */
    private array $times = [];

    private int $base = 0;

    private bool $isTimed = false;

    private float $silenceUs;

    private int $lowest;

    private int $highest;

    /** @var array<string, true>|null Which channels the frames of this capture name; null: not yet found. */
    private ?array $patterns = null;

    public function __construct(FormatCard $card)
    {
        $this->layout = new FrameLayout($card);
        $this->size = max(1, $this->layout->smallest);
        $this->stretch = new Stretch($this->size);
        $this->silenceUs = (float) $card->silenceMs * 1000 * self::SILENCE_TOLERANCE + $card->durationMs(1) * 1000;
        $this->lowest = $card->scale->count(self::PLAUSIBLE_US[0]);
        $this->highest = $card->scale->count(self::PLAUSIBLE_US[1]);
    }

    public function push(TimedBytes $some, FrameSink $sink): void
    {
        $this->isTimed = $this->isTimed || $some->times !== [];
        $this->buffer .= $some->bytes;
        array_push($this->times, ...$some->times);
        $this->consume($this->isTimed ? $this->bursts($sink) : $this->phase($sink, false));
    }

    public function finish(FrameSink $sink): void
    {
        if ($this->isTimed) {
            $this->consume($this->bursts($sink));
            $this->burst(0, strlen($this->buffer), $sink, true);
        } else {
            $this->consume($this->phase($sink, true));
            $this->stretch->open($this->base, 'short', null);
        }
        $this->stretch->end($this->base + strlen($this->buffer), $sink);
        $this->consume(strlen($this->buffer));
    }

    /** @return int How many bytes are done with: whole bursts. */
    private function bursts(FrameSink $sink): int
    {
        $start = 0;
        for ($k = 1, $n = count($this->times); $k < $n; $k++) {
            if ($this->silenceUs <= $this->times[$k] - $this->times[$k - 1]) {
                $this->burst($start, $k, $sink, false);
                $start = $k;
            }
        }

        return $start;
    }

    private function burst(int $start, int $end, FrameSink $sink, bool $isLast): void
    {
        $bytes = $end - $start;
        if ($bytes === 0) {
            return;
        }
        $frame = substr($this->buffer, $start, $bytes);
        $offset = $this->base + $start;
        $fault = $bytes === $this->size ? $this->faultOf($frame) : ($bytes < $this->size ? 'short' : 'long');
        if ($fault === null) {
            $sink->frames(new FrameRun($frame, max(1, $this->size), $offset, [$this->times[$start]]));
        } elseif ($offset > 0 && ! $isLast || $bytes >= $this->size) {
            $sink->bad($fault, $offset, $bytes, max(1, (int) round($bytes / $this->size)), $this->times[$start]);
        }
    }

    /** @return int How many bytes are done with. */
    private function phase(FrameSink $sink, bool $isLast): int
    {
        $at = 0;
        if ($this->patterns === null) {
            if (! $isLast && strlen($this->buffer) < self::LOOKED_AT * $this->size) {
                return 0;
            }
            $this->stretch->open($this->base, 'channels', null);
            if (! $this->findPhase()) {
                return $isLast ? 0 : strlen($this->buffer) - self::FEWEST * $this->size;
            }
        }
        // To find the way again two whole frames must be in sight.
        $enough = strlen($this->buffer) - ($isLast ? $this->size : 3 * $this->size);
        while ($at <= $enough) {
            if ($this->isSteady($at)) {
                $this->stretch->close($this->base + $at, $this->size, $sink);
                $sink->frames(new FrameRun(substr($this->buffer, $at, $this->size), max(1, $this->size), $this->base + $at));
                $at += $this->size;
            } else {
                $this->stretch->open($this->base + $at, 'channels', null);
                $at = $this->next($at);
            }
        }

        return $at;
    }

    /** Where frames go on behind a damaged one: in the same phase if that holds, else where two follow one another. */
    private function next(int $at): int
    {
        if ($this->isSteady($at + $this->size)) {
            return $at + $this->size;
        }
        for ($next = $at + 1; $next < $at + $this->size; $next++) {
            if ($this->isSteady($next) && $this->isSteady($next + $this->size)) {
                return $next;
            }
        }

        return $at + $this->size;
    }

    private function isSteady(int $at): bool
    {
        $frame = substr($this->buffer, $at, $this->size);

        return strlen($frame) === $this->size && $this->faultOf($frame) === null && isset($this->patterns[$this->pattern($frame)]);
    }

    /** Sets the patterns of the steadiest phase, if one is. */
    private function findPhase(): bool
    {
        $best = [0, []];
        $steadyShare = self::STEADY[$this->layout->isChecked || $this->layout->bits->isTagged() ? 'told' : 'untold'];
        for ($phase = 0; $phase < $this->size; $phase++) {
            [$seen, $frames] = [[], 0];
            for ($at = $phase; $at + $this->size <= strlen($this->buffer) && $frames < self::LOOKED_AT; $at += $this->size) {
                $frame = substr($this->buffer, $at, $this->size);
                $frames++;
                if ($this->faultOf($frame) === null && $this->isPlausible($frame)) {
                    $pattern = $this->pattern($frame);
                    $seen[$pattern] = ($seen[$pattern] ?? 0) + 1;
                }
            }
            arsort($seen);
            $steady = array_slice($seen, 0, 2, true);
            $count = array_sum($steady);
            $worth = $count * self::likeness(array_map(strval(...), array_keys($steady)));
            if ($count >= max(self::FEWEST, $steadyShare * $frames) && $worth > $best[0]) {
                $best = [$worth, $steady];
            }
        }
        if ($best[1] !== []) {
            $this->patterns = array_fill_keys(array_map(strval(...), array_keys($best[1])), true);
        }

        return $best[1] !== [];
    }

    /**
     * How much the channels of two frames in turn look like a sender's: two bytes off, the head of a frame may pass for a channel of its own.
     *
     * @param  list<string>  $patterns
     */
    private static function likeness(array $patterns): float
    {
        $likeness = 1.0;
        $channels = array_map(static fn (string $pattern): array => array_map(intval(...), explode(' ', $pattern)), $patterns);
        if (count($channels) === 2 && $channels[0] !== $channels[1] && array_intersect($channels[0], $channels[1]) !== []) {
            $likeness *= self::SAME_CHANNEL_IN_BOTH;
        }
        foreach ($channels as $one) {
            $sorted = $one;
            sort($sorted);
            $likeness *= $sorted === $one ? 1.0 : self::OUT_OF_ORDER;
        }

        return $likeness;
    }

    private function faultOf(string $frame): ?string
    {
        return $this->layout->fault($frame) ?? ($this->layout->counts($frame) === [] ? 'channels' : null);
    }

    private function isPlausible(string $frame): bool
    {
        foreach ($this->layout->counts($frame) as $count) {
            if ($count < $this->lowest || $count > $this->highest) {
                return false;
            }
        }

        return true;
    }

    /** Which channels a frame carries. */
    private function pattern(string $frame): string
    {
        return implode(' ', array_keys($this->layout->counts($frame)));
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
