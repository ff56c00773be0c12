<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/**
 * One axis of a handset that is read as a game controller, and what it says of the handset's calibration: a stick that was moved round must reach
 * both ends and come back to the middle, before any value of it is judged.
 */
final readonly class AxisRead implements \JsonSerializable
{
    /** An end is reached within so many percent. */
    private const END_PCT = 2.0;

    /** A spring brings a stick back to the middle within so many percent: 5 µs of the usual 512. */
    private const CENTRE_PCT = 1.0;

    /** Moved further than this many percent it was moved by somebody. */
    private const MOVED_PCT = 20.0;

    /** A stick that rests within so many percent of its middle has a spring. */
    private const SPRUNG_PCT = 25.0;

    /** µs that `SteadyValue` judges by, for a percent. */
    private const US_PER_PCT = 5.12;

    private function __construct(public int $axis, private float $now, private float $low, private float $high, private ?float $rest, public AxisState $state)
    {
    }

    /**
     * @param  ChannelLog  $log  Percent, −100 to 100, where it has µs otherwise.
     * @return list<self> One for each axis.
     */
    public static function all(ChannelLog $log): array
    {
        return array_map(static fn (int $k): self => self::of($log, $k + 1), array_keys($log->columns));
    }

    private static function of(ChannelLog $log, int $axis): self
    {
        $values = $log->columns[$axis - 1];
        [$now, $low, $high] = [$values[count($values) - 1], min($values), max($values)];
        $steady = SteadyValue::of(ChannelLog::fromRows($log->times, array_map(static fn (float $pct): array => [$pct * self::US_PER_PCT], $values)), 1);
        $rest = $steady->isHeld() ? $steady->us / self::US_PER_PCT : null;
        $isSprung = $rest !== null && abs($rest) < self::SPRUNG_PCT;
        $state = match (true) {
            $high - $low < self::MOVED_PCT => AxisState::Unmoved,
            $rest === null => AxisState::Moving,
            $low > self::END_PCT - 100 || $high < 100 - self::END_PCT => AxisState::Short,
            $isSprung && abs($rest) > self::CENTRE_PCT => AxisState::OffCentre,
            default => AxisState::Well,
        };

        return new self($axis, $now, $low, $high, $rest, $state);
    }

    public function says(): string
    {
        return match ($this->state) {
            AxisState::Unmoved => 'Not moved yet.',
            AxisState::Moving => 'Let it go, and it is judged.',
            AxisState::Short => sprintf('It goes from %s to %s %% only: calibrate the sticks in the handset, then move it round once more.', self::tenths($this->low), self::tenths($this->high)),
            AxisState::OffCentre => sprintf('It comes back to %s %%, not to the middle: calibrate the sticks in the handset, trim at zero.', self::tenths($this->rest ?? 0.0)),
            AxisState::Well => abs($this->rest ?? 0.0) < self::SPRUNG_PCT ? 'It reaches both ends and comes back to the middle.' : 'It reaches both ends.',
        };
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) [
            'axis' => $this->axis,
            'now_pct' => round($this->now, 1),
            'lo_pct' => round($this->low, 1),
            'hi_pct' => round($this->high, 1),
            'rest_pct' => $this->rest === null ? null : round($this->rest, 1),
            'state' => $this->state->value,
            'says' => $this->says(),
        ];
    }

    private static function tenths(float $pct): string
    {
        return sprintf('%g', round($pct, 1));
    }
}
