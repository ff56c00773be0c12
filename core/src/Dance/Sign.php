<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\ChannelLog;

/**
 * A stick that was found already, held at one of its ends while another one is asked for: somebody whose hands are both at the handset says
 * so that the move is to be skipped, asked for again, or that it is enough. Nobody holds a stick so long in a move of its own.
 */
final readonly class Sign implements \JsonSerializable
{
    /** Held for so long it is a sign (ms) … */
    public const SIGN_MS = 1500.0;

    /** … and for so long it is the end. */
    public const STOP_MS = 4000.0;

    /** Nearer to its end than this share of the way it is held there. */
    private const AT_END = 0.15;

    /** Further from its middle than this share of the way it is away. */
    private const AWAY = 0.1;

    /**
     * @param  float  $fromMs  When the stick left its middle.
     * @param  float  $toMs  When it was back, or the end of the log.
     * @param  bool  $isOver  It counts now: the stick is back, or it is the end. Until then it may still become another one.
     */
    private function __construct(public SignKind $kind, public float $fromMs, public float $toMs, public bool $isOver)
    {
    }

    /**
     * What a stick says at the end of a log; null: nothing.
     *
     * @param  float  $sinceMs  When the move was asked for: what it did before was a move of its own.
     */
    public static function of(ChannelLog $log, KnownStick $stick, float $sinceMs): ?self
    {
        $shares = array_map($stick->shareOf(...), $log->columns[$stick->channel - 1]);
        $last = $log->count() - 1;
        for ($to = $last; $to > 0 && abs($shares[$to]) <= self::AWAY; $to--);
        for ($from = $to; $from > 0 && abs($shares[$from]) > self::AWAY; $from--);
        $away = [0.0, ...array_slice($shares, $from, $to - $from + 1)];
        [$low, $high] = [min($away), max($away)];
        // To both ends: that is the move of a stick.
        $held = $high > 1 - self::AT_END && $low < self::AT_END - 1 ? 0.0 : self::heldMs($log, $shares, $from, $to);
        if ($log->times[$from] < $sinceMs || $held < self::SIGN_MS) {
            return null;
        }
        $kind = $held >= self::STOP_MS ? SignKind::Stop : ($high > -$low ? SignKind::Skip : SignKind::Again);

        return new self($kind, $log->times[$from], $log->times[min($last, $to + 1)], $to < $last || $kind === SignKind::Stop);
    }

    /**
     * How long it was at an end.
     *
     * @param  list<float>  $shares
     */
    private static function heldMs(ChannelLog $log, array $shares, int $from, int $to): float
    {
        $ms = 0.0;
        for ($row = $from + 1; $row <= $to; $row++) {
            if (abs($shares[$row]) >= 1 - self::AT_END) {
                $ms += $log->times[$row] - $log->times[$row - 1];
            }
        }

        return $ms;
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ['says' => $this->kind->value, 'from_ms' => $this->fromMs, 'to_ms' => $this->toMs, 'is_over' => $this->isOver];
    }
}
