<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Quantity\Steps;

/** A decoding as the document that the verb `decode` answers. */
final readonly class DecodeAnswer
{
    private const DIGITAL_US = [988.0, 2012.0];

    private Begin $begin;

    private Carrier $carrier;

    public function __construct(private Decoding $decoding)
    {
        $this->begin = $decoding->begin;
        $this->carrier = $decoding->carrier();
    }

    /** @return array<string, mixed> Fits `verbs/decode.out.json`. */
    public function toArray(): array
    {
        $decoding = $this->decoding;
        $card = $this->carrier->card;
        $format = $this->carrier->format();
        $counted = $decoding instanceof Recognised || $decoding instanceof ValueLog ? $this->counted($decoding->tally) : self::nothing();

        return array_filter([
            'kind' => $this->begin->kind->value,
            'format' => $format,
            'variant' => $card !== null && $card->id !== $format ? $card->id : false,
            'name' => $card->name ?? false,
            'confidence' => Steps::clean($decoding->confidence),
            'runner_up' => $this->begin->choice?->runnerUp?->toArray(),
            'line' => $this->line(),
            'line_facts' => $this->facts(),
            ...$counted['counted'],
            'wires' => $this->begin->wires,
            'wire' => $this->begin->wire === null ? false : $this->begin->wires[$this->begin->wire] ?? '',
            'bytes' => $decoding->passage->bytes ?? false,
            'damage' => ['count' => $decoding->damage->count, 'places' => $decoding->damage->places],
            'findings' => Finding::listToArray(SignalFindings::of($decoding)),
            ...$counted['shown'],
        ], static fn (mixed $value): bool => $value !== false);
    }

    /** @return array{counted: array<string, mixed>, shown: array<string, mixed>} Before the wires, and behind the findings. */
    private function counted(FrameTally $tally): array
    {
        $card = $this->carrier->card;

        return [
            'counted' => [
                'frames' => ['good' => $tally->good, 'bad' => $tally->bad, 'reasons' => (object) $tally->reasons],
                'period_ms' => $tally->periods->toArray(),
                'channels' => array_map(static fn (ChannelSummary $channel): array => $channel->toArray(), $tally->channels->summaries()),
                'digital' => $card === null ? [] : self::digital($card, $tally),
                'flags' => ['frame_lost' => $tally->flags->count('frame_lost'), 'failsafe' => $tally->flags->count('failsafe')],
                'flag_times' => array_map(static fn (FlagStretch $stretch): array => $stretch->toArray(), $tally->flags->stretches()),
                'others' => $card === null ? [] : self::others($card, $tally),
            ],
            'shown' => [
                'first_frames' => array_map(fn (PickedFrame $frame): array => $this->frame($tally, $frame), $tally->firstFrames),
                'bad_frames' => array_map(static fn (BadPlace $place): array => $place->toArray(), $tally->badPlaces),
            ],
        ];
    }

    /** @return array{counted: array<string, mixed>, shown: array<string, mixed>} */
    private static function nothing(): array
    {
        return [
            'counted' => [
                'frames' => ['good' => 0, 'bad' => 0, 'reasons' => new \stdClass],
                'period_ms' => null,
                'channels' => [],
                'digital' => [],
                'flags' => ['frame_lost' => 0, 'failsafe' => 0],
                'flag_times' => [],
                'others' => [],
            ],
            'shown' => ['first_frames' => [], 'bad_frames' => []],
        ];
    }

    /** @return array{baud: int|float, inverted: bool, parity: string, stop_bits: int}|null */
    private function line(): ?array
    {
        $line = $this->carrier->line;
        $card = $this->carrier->card;
        if ($line === null || $card === null) {
            return null;
        }
        $isWrong = $this->decoding instanceof Recognised && $this->decoding->isWrongBaud();

        return ['baud' => $isWrong ? $this->begin->facts?->baud() ?? (int) round(1e6 / $line->bitUs) : $card->baud, 'inverted' => $line->isInverted, 'parity' => $line->parity, 'stop_bits' => $line->stopBits];
    }

    /** @return array<string, mixed>|null */
    private function facts(): ?array
    {
        $facts = $this->begin->facts;
        if ($facts === null) {
            return $this->decoding->passage->bytes === null ? null : ByteFacts::toArray($this->decoding);
        }
        $uart = $this->decoding->passage->uart;

        return [
            ...$this->stays($facts),
            ...($uart === null ? [] : ['parity_errors' => $uart->parityErrors, 'stop_errors' => $uart->stopErrors]),
            ...($this->begin->unknownLine === null ? [] : ['parity' => $this->begin->unknownLine->parity]),
            ...($this->carrier->shape === null && $this->begin->bytes !== '' ? ByteFacts::toArray($this->decoding) : []),
        ];
    }

    /** @return array{idle: string, shortest_us: float|null, longest_us: float, bit_us: float|null, baud: int|float|null, gap_ms: float|null} How long the wire stays as it is. */
    private function stays(LineFacts $facts): array
    {
        $isPulses = $this->carrier->shape !== null;

        return [
            'idle' => $facts->idle === 1 ? 'high' : 'low',
            'shortest_us' => $facts->shortestUs === null ? null : round($facts->shortestUs, 4),
            'longest_us' => round($facts->longestUs, 3),
            'bit_us' => $isPulses || $facts->bitUs === null ? null : round($facts->bitUs, 4),
            'baud' => $isPulses ? null : $facts->baud(),
            'gap_ms' => $facts->betweenUs > 0 ? round($facts->betweenUs / 1000, 4) : null,
        ];
    }

    /** @return list<array{channel: int, on: int, off: int, us: float}> */
    private static function digital(FormatCard $card, FrameTally $tally): array
    {
        $all = [];
        for ($k = 1; $k <= $card->digitalChannels(); $k++) {
            $on = $tally->flags->count("digital_$k");
            $all[] = ['channel' => $card->mostChannels + $k, 'on' => $on, 'off' => $tally->good - $on, 'us' => self::DIGITAL_US[$on * 2 > $tally->good ? 1 : 0]];
        }

        return $all;
    }

    /** @return list<array{type: string, name: string, count: int, last: list<array{name: string, value: int, unit: string}>}> */
    private static function others(FormatCard $card, FrameTally $tally): array
    {
        $all = [];
        foreach ($tally->others as $type => $count) {
            $type = (string) $type;
            $known = array_values(array_filter($card->others, static fn ($other): bool => $other->type === $type))[0] ?? null;
            $typeAt = strpos($tally->lastOther[$type] ?? '', (string) hex2bin($type), 1);
            $all[] = [
                'type' => $type,
                'name' => $known->name ?? "type 0x$type",
                'count' => $count,
                'last' => $known?->read(substr($tally->lastOther[$type] ?? '', (int) $typeAt + 1)) ?? [],
            ];
        }

        return $all;
    }

    /** @return array<string, mixed> */
    private function frame(FrameTally $tally, PickedFrame $frame): array
    {
        $card = $this->carrier->card;
        $counts = $card === null ? $frame->widths : (new FrameLayout($card))->counts((string) $frame->bytes);
        ksort($counts);

        return array_filter([
            't_ms' => Steps::msOf($frame->us),
            'us' => array_map($tally->channels->us(...), array_values($counts)),
            'raw' => $card === null ? false : array_values($counts),
            'first_channel' => array_key_first($counts) ?? 1,
            'offset' => $frame->offset ?? false,
            'hex' => $frame->bytes === null ? false : bin2hex($frame->bytes),
        ], static fn (mixed $value): bool => $value !== false);
    }
}
