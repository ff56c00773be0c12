<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FrameAnatomy;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;

/** What the signal desk draws beside the verb's answer. */
final readonly class DeskView
{
    /** A channel over which a stick was moved from end to end travels at least so far. */
    private const MOVING_US = 600.0;

    private const USUAL_US = [Pulse::LOW_US, Pulse::HIGH_US];

    /** Share of bad frames up to which the ends that were seen are the ends that were sent. */
    private const FEW_BAD = 0.02;

    /** By so much an end falls short before it is worth a word. */
    private const SHORT_US = 20.0;

    /** Shown behind the last channel of a pulse train. */
    private const PULSE_END_US = 1000.0;

    public function __construct(private Decoding $decoding)
    {
    }

    /** @return array{sentence: string, spans: list<array<string, mixed>>, has_times: bool, ends_us: float|null, frame_us: float|null, median_ms: float|null, late_above_ms: float|null, byte_us: float|null, bit_us: float|null, card_draft: string|null} */
    public function toArray(): array
    {
        $tally = $this->decoding->tally ?? new FrameTally(null, 0);
        $spans = array_map(static fn (array $span): array => [
            'frame' => $span['frame'],
            't_ms' => $span['us'] === null ? null : Steps::clean($span['us'] / 1000),
            'gap_ms' => $span['gap_us'] === null ? null : Steps::clean($span['gap_us'] / 1000),
            'low' => array_map($tally->channels->us(...), $span['low']),
            'high' => array_map($tally->channels->us(...), $span['high']),
        ], $tally->channels->timeline->spans());
        $line = $this->line();
        $last = $spans === [] ? null : $spans[count($spans) - 1];
        $frameUs = $this->frameUs();

        return [
            'sentence' => $this->sentence(),
            'spans' => $spans,
            'has_times' => ($spans[0]['t_ms'] ?? null) !== null,
            'ends_us' => $last === null ? $this->decoding->headEndsUs : ($last['t_ms'] === null ? $tally->good * ($this->decoding->card->usualMs ?? 0.0) * 1000 : $last['t_ms'] * 1000 + 2 * ($tally->periods->medianUs() ?? 0.0)),
            'frame_us' => $frameUs,
            'median_ms' => self::ms($tally->periods->medianUs()),
            'late_above_ms' => self::ms($tally->periods->lateAboveUs()),
            'byte_us' => $line?->byteUs(),
            'bit_us' => $line?->bitUs,
            'card_draft' => $this->decoding->format === null && ! $this->decoding->isLog ? CardDraft::text($this->decoding) : null,
        ];
    }

    /**
     * @param  array{index: int, us: float|null, offset: int|null, frame: string|null, widths: array<int, int>|null}  $picked
     * @return array<string, mixed>
     */
    public function frame(array $picked): array
    {
        $card = $this->decoding->card;
        $anatomy = $card === null || $picked['frame'] === null ? null : new FrameAnatomy($card);
        $begins = $card === null ? $picked['us'] : (new FrameClock($card))->at($picked['index'], $picked['us']);

        return [
            'index' => $picked['index'],
            't_ms' => $picked['us'] === null ? null : Steps::clean($picked['us'] / 1000),
            'begins_us' => $begins,
            'lasts_us' => $picked['frame'] === null ? array_sum($picked['widths'] ?? []) / 1000 + self::PULSE_END_US : strlen($picked['frame']) * ($this->line()?->byteUs() ?? 0.0),
            'offset' => $picked['offset'],
            'hex' => $picked['frame'] === null ? null : bin2hex($picked['frame']),
            'fields' => $anatomy?->fields((string) $picked['frame']) ?? [],
            'channels' => $anatomy === null
                ? array_map(static fn (int $channel, int $ns): array => ['channel' => $channel, 'from_bit' => null, 'bits' => null, 'raw' => null, 'us' => $ns / 1000], array_keys($picked['widths'] ?? []), $picked['widths'] ?? [])
                : $anatomy->channels((string) $picked['frame']),
        ];
    }

    private static function ms(?float $us): ?float
    {
        return $us === null ? null : Steps::clean($us / 1000);
    }

    private function line(): ?LineSetting
    {
        return $this->decoding->line ?? ($this->decoding->card === null ? null : LineSetting::of($this->decoding->card));
    }

    /** How long one frame lasts on the wire; of pulses, a period. */
    private function frameUs(): ?float
    {
        $line = $this->line();
        $frame = $this->decoding->tally->firstFrames[0]['frame'] ?? null;

        return $line === null || $frame === null ? $this->decoding->tally?->periods->medianUs() : strlen($frame) * $line->byteUs();
    }

    /** The answer as somebody would say it. */
    private function sentence(): string
    {
        $tally = $this->decoding->tally;
        if ($this->decoding->isLog) {
            return sprintf('This is a log of values: %d rows of %d channels.', $tally->good ?? 0, count($tally?->channels->toArray() ?? []));
        }
        if ($this->decoding->format === null || $tally === null) {
            return 'This is none of the formats known here.';
        }
        $name = $this->decoding->card->name ?? ($this->decoding->format === 'ppm' ? 'a pulse train of '.($this->decoding->shape->channels ?? 0).' channels' : 'a single pulse, one channel on its own wire');
        $all = $tally->good + $tally->bad;
        $sound = $tally->bad === 0 ? ($all === 1 ? 'Its one frame is sound.' : "All $all frames are sound.") : "{$tally->good} of $all frames are sound.";

        return "This is $name. $sound".$this->remark();
    }

    /** What strikes the eye among the values, in one sentence: a moving channel that does not go as far as the others do. */
    private function remark(): string
    {
        $tally = $this->decoding->tally;
        if ($tally === null || $tally->bad > self::FEW_BAD * $tally->good || $tally->flags->count('failsafe') > 0) {
            // What was lost may have held the ends, and failsafe values are nobody's stick.
            return '';
        }
        $moving = array_filter($tally->channels->toArray(), static fn (array $channel): bool => $channel['max_us'] - $channel['min_us'] >= self::MOVING_US);
        $low = array_map(static fn (array $channel): float => $channel['min_us'] - self::USUAL_US[0], $moving);
        $high = array_map(static fn (array $channel): float => self::USUAL_US[1] - $channel['max_us'], $moving);
        $below = self::standsOut($low, $high);
        $above = self::standsOut($high, $low);

        return match (true) {
            $below !== null => sprintf(' Channel %d never goes below %.0f µs.', $moving[$below]['channel'], $moving[$below]['min_us']),
            $above !== null => sprintf(' Channel %d never goes above %.0f µs.', $moving[$above]['channel'], $moving[$above]['max_us']),
            default => '',
        };
    }

    /**
     * @param  array<int, float>  $short  By how much each falls short of the usual end, µs.
     * @param  array<int, float>  $other  The same of the other end: only where that is reached the stick was moved all the way.
     */
    private static function standsOut(array $short, array $other): ?int
    {
        arsort($short);
        $channel = array_key_first($short);
        [$first, $second] = [array_values($short)[0] ?? 0.0, array_values($short)[1] ?? 0.0];
        $isAlone = $first > self::SHORT_US && $first - max(0.0, $second) > self::SHORT_US;

        return $isAlone && $channel !== null && $other[$channel] <= self::SHORT_US ? $channel : null;
    }
}
