<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Quantity\Steps;

/** What the signal desk draws beside the verb's answer. */
final readonly class DeskView implements \JsonSerializable
{
    private Carrier $carrier;

    /** Null: there are no values. */
    private ?FrameTally $tally;

    public function __construct(private Recognised|ValueLog|Unrecognised $decoding)
    {
        $this->carrier = $decoding->carrier();
        $this->tally = ! $decoding instanceof Unrecognised ? $decoding->tally : null;
    }

    public function jsonSerialize(): \stdClass
    {
        $line = $this->carrier->lineOrUsual();
        $channels = $this->tally?->channels->summaries() ?? [];
        $spans = $this->tally?->channels->spans() ?? [];

        return (object) [
            'sentence' => self::sentence($this->decoding),
            'spans' => $this->tally === null ? [] : self::spans($this->tally->channels),
            'shown_channel' => self::furthest($channels)?->channel,
            'still' => array_values(array_map(static fn (ChannelSummary $one): int => $one->channel, array_filter($channels, static fn (ChannelSummary $one): bool => $one->isStill()))),
            'has_times' => ($spans[0] ?? null)?->us !== null,
            'ends_us' => $this->endsUs($spans),
            'frame_us' => $this->frameUs(),
            'median_ms' => Steps::msOf($this->tally?->periods->medianUs()),
            'late_above_ms' => Steps::msOf($this->tally?->periods->lateAboveUs()),
            'byte_us' => $line?->byteUs(),
            'bit_us' => $line?->bitUs,
            'grain_us' => $this->decoding->begin->grainUs,
            'card_draft' => $this->decoding instanceof Unrecognised ? CardDraft::text($this->decoding) : null,
        ];
    }

    /** The answer as somebody would say it. */
    public static function sentence(Recognised|ValueLog|Unrecognised $decoding): string
    {
        return match (true) {
            $decoding instanceof ValueLog => sprintf('This is a log of values: %d rows of %d channels.', $decoding->tally->good, count($decoding->tally->channels->summaries())),
            $decoding instanceof Recognised => 'This is '.$decoding->carrier()->words().'. '.self::soundness($decoding->tally).rtrim(' '.Remark::of($decoding->tally)),
            default => 'This is none of the formats known here.',
        };
    }

    private static function soundness(FrameTally $tally): string
    {
        $all = $tally->good + $tally->bad;

        return match (true) {
            $tally->bad > 0 => "{$tally->good} of $all frames are sound.",
            $all === 1 => 'Its one frame is sound.',
            default => "All $all frames are sound.",
        };
    }

    /** @return list<array{frame: int, t_ms: float|null, gap_ms: float|null, low: array<int, float>, high: array<int, float>}> */
    private static function spans(ChannelTally $channels): array
    {
        return array_map(static fn (Span $span): array => [
            'frame' => $span->frame,
            't_ms' => Steps::msOf($span->us),
            'gap_ms' => Steps::msOf($span->gapUs),
            'low' => array_map($channels->us(...), $span->bounds->low),
            'high' => array_map($channels->us(...), $span->bounds->high),
        ], $channels->spans());
    }

    /**
     * The channel that goes furthest from its lowest to its highest: the one worth looking at first.
     *
     * @param  list<ChannelSummary>  $channels
     */
    private static function furthest(array $channels): ?ChannelSummary
    {
        $furthest = null;
        foreach ($channels as $channel) {
            $furthest = $furthest === null || $channel->travelUs() > $furthest->travelUs() ? $channel : $furthest;
        }

        return $furthest;
    }

    /** @param  list<Span>  $spans */
    private function endsUs(array $spans): ?float
    {
        if ($spans === [] || $this->tally === null) {
            return $this->decoding->begin->endsUs;
        }
        $lastUs = $spans[count($spans) - 1]->us;

        return $lastUs === null ? $this->tally->good * ($this->carrier->card->usualMs ?? 0.0) * 1000 : $lastUs + 2 * ($this->tally->periods->medianUs() ?? 0.0);
    }

    /** How long one frame lasts on the wire; of pulses, a period. */
    private function frameUs(): ?float
    {
        $line = $this->carrier->lineOrUsual();
        $bytes = ($this->tally->firstFrames[0] ?? null)?->bytes;

        return $line === null || $bytes === null ? $this->tally?->periods->medianUs() : strlen($bytes) * $line->byteUs();
    }
}
