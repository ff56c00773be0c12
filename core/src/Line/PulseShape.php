<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

use Linguator\Core\Timing\PulseTrain;

/** Tells from its changes whether a wire carries a pulse train or a single pulse. */
final readonly class PulseShape
{
    /** How pulses are named where formats are. */
    public const NAMES = ['ppm', 'pwm'];

    /** Separators of a train, µs; a sound card or a slow analyser blurs their edges. */
    private const SEPARATOR_US = [240.0, 560.0];

    /** From one leading edge to the next, µs. */
    private const CHANNEL_US = [650.0, 2400.0];

    private const PERIOD_US = [2500.0, 25_500.0];

    private const MOST_OF = 0.9;

    private const FEWEST_PULSES = 4;

    private const FEWEST_CHANNELS = 2;

    private const MOST_CHANNELS = 16;

    /** Sums of whole frames vary less than this where the frame has a fixed length. */
    private const STEADY_SUM = 0.003;

    /** @param  int|null  $channels  Of a train; null: one pulse on its own wire. */
    private function __construct(public int $active, public ?int $channels)
    {
    }

    /** One of `NAMES`. */
    public function name(): string
    {
        return $this->channels === null ? 'pwm' : 'ppm';
    }

    public function reader(): PulseReader
    {
        return $this->channels === null ? new PwmReader($this->active) : new TrainReader($this->active, $this->channels);
    }

    /** @param  list<Edges>  $head */
    public static function of(array $head): ?self
    {
        foreach ([0, 1] as $separator) {
            [$widths, $intervals] = self::pulses($head, $separator);
            if (self::share($widths, self::SEPARATOR_US) >= self::MOST_OF && self::share($intervals, self::CHANNEL_US) >= 0.6) {
                // No gap anywhere: a train all the same, but one in which nobody finds the first channel.
                return new self($separator, self::channels($intervals) ?? self::MOST_CHANNELS);
            }
        }
        foreach ([1, 0] as $active) {
            [$widths, $intervals] = self::pulses($head, $active);
            if (self::share($widths, [PwmReader::SHORTEST_US, PwmReader::LONGEST_US]) >= self::MOST_OF && self::share($intervals, self::PERIOD_US) >= self::MOST_OF) {
                return new self($active, null);
            }
        }

        return null;
    }

    /**
     * @param  list<Edges>  $head
     * @return array{list<float>, list<float>} Widths of the pulses of this level, and from one leading edge to the next.
     */
    private static function pulses(array $head, int $active): array
    {
        [$widths, $intervals, $lead, $isOpen] = [[], [], null, false];
        foreach ($head as $edges) {
            $level = $edges->level;
            foreach ($edges->times as $us) {
                if ($level === $active) {
                    if ($lead !== null) {
                        $intervals[] = $us - $lead;
                    }
                    $lead = $us;
                    $isOpen = true;
                } elseif ($isOpen) {
                    $widths[] = $us - $lead;
                    $isOpen = false;
                }
                $level ^= 1;
            }
        }

        return [$widths, $intervals];
    }

    /**
     * @param  list<float>  $values
     * @param  array{float, float}  $range
     */
    private static function share(array $values, array $range): float
    {
        $inside = count(array_filter($values, static fn (float $value): bool => $value >= $range[0] && $value <= $range[1]));

        return count($values) < self::FEWEST_PULSES ? 0.0 : $inside / count($values);
    }

    /**
     * Channels of a frame: as many as usually stand between two gaps, or the number that makes all frames equally long.
     *
     * @param  list<float>  $intervals
     */
    private static function channels(array $intervals): ?int
    {
        $seen = [];
        $count = null;
        foreach ($intervals as $interval) {
            if ($interval > PulseTrain::USUAL_DETECT_US) {
                if ($count !== null) {
                    $seen[$count] = ($seen[$count] ?? 0) + 1;
                }
                $count = 0;
            } elseif ($count !== null) {
                $count++;
            }
        }
        $seen = array_filter($seen, static fn (int $n): bool => $n >= self::FEWEST_CHANNELS && $n <= self::MOST_CHANNELS, ARRAY_FILTER_USE_KEY);
        arsort($seen);

        return $seen === [] ? self::channelsBySum($intervals) : (int) array_key_first($seen);
    }

    /** @param  list<float>  $intervals */
    private static function channelsBySum(array $intervals): ?int
    {
        for ($channels = self::FEWEST_CHANNELS; $channels <= self::MOST_CHANNELS; $channels++) {
            $sums = [];
            for ($k = $channels, $n = count($intervals); $k < $n; $k++) {
                $sums[] = array_sum(array_slice($intervals, $k - $channels, $channels + 1));
            }
            if (count($sums) > 2 * $channels && max($sums) - min($sums) < self::STEADY_SUM * max($sums)) {
                return $channels;
            }
        }

        return null;
    }
}
