<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FrameLayout;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Quantity\Steps;

/** A decoding as the document that the verb `decode` answers: it fits `verbs/decode.out.json`. */
final readonly class DecodeAnswer implements \JsonSerializable
{
    private const DIGITAL_US = [988.0, 2012.0];

    private Begin $begin;

    private Carrier $carrier;

    /** Empty where nothing is recognised. */
    private FrameTally $tally;

    public function __construct(private Recognised|ValueLog|Unrecognised $decoding)
    {
        $this->begin = $decoding->begin;
        $this->carrier = $decoding->carrier();
        $this->tally = ! $decoding instanceof Unrecognised ? $decoding->tally : new FrameTally(null, 0);
    }

    public function jsonSerialize(): \stdClass
    {
        $decoding = $this->decoding;
        $card = $this->carrier->card;
        $format = $this->carrier->format();
        $tally = $this->tally;

        return (object) array_filter([
            'kind' => $this->begin->kind->value,
            'format' => $format,
            'variant' => $card !== null && $card->id !== $format ? $card->id : false,
            'name' => $card->name ?? false,
            'confidence' => Steps::clean($decoding->confidence),
            'runner_up' => $this->begin->choice?->runnerUp,
            'line' => $this->line(),
            'line_facts' => $this->facts(),
            'frames' => ['good' => $tally->good, 'bad' => $tally->bad, 'reasons' => (object) $tally->reasons],
            'period_ms' => $tally->periods,
            'channels' => $tally->channels->summaries(),
            'digital' => $card === null ? [] : self::digital($card, $tally),
            'flags' => ['frame_lost' => $tally->flags->count('frame_lost'), 'failsafe' => $tally->flags->count('failsafe')],
            'flag_times' => $tally->flags->stretches(),
            'others' => $card === null ? [] : self::others($card, $tally),
            'wires' => $this->begin->wires,
            'wire' => $this->begin->wire === null ? false : $this->begin->wires[$this->begin->wire] ?? '',
            'bytes' => $decoding->passage->bytes ?? false,
            'damage' => ['count' => $decoding->damage->count, 'places' => $decoding->damage->places],
            'findings' => SignalFindings::of($decoding),
            'first_frames' => array_map($this->frame(...), $tally->firstFrames),
            'bad_frames' => $tally->badPlaces,
        ], static fn (mixed $value): bool => $value !== false);
    }

    private function line(): ?\stdClass
    {
        $line = $this->carrier->line;
        $card = $this->carrier->card;
        if ($line === null || $card === null) {
            return null;
        }
        $isWrong = $this->decoding instanceof Recognised && $this->decoding->isWrongBaud();

        return (object) ['baud' => $isWrong ? $this->begin->facts?->baud() ?? (int) round(1e6 / $line->bitUs) : $card->baud, 'inverted' => $line->isInverted, 'parity' => $line->parity, 'stop_bits' => $line->stopBits];
    }

    private function facts(): ?\stdClass
    {
        $facts = $this->begin->facts;
        if ($facts === null) {
            return $this->decoding->passage->bytes === null ? null : ByteFacts::of($this->decoding);
        }
        $uart = $this->decoding->passage->uart;

        return (object) [
            ...get_object_vars($this->stays($facts)),
            ...($uart === null ? [] : ['parity_errors' => $uart->parityErrors, 'stop_errors' => $uart->stopErrors]),
            ...($this->begin->unknownLine === null ? [] : ['parity' => $this->begin->unknownLine->parity]),
            ...($this->carrier->shape === null && $this->begin->bytes !== '' ? get_object_vars(ByteFacts::of($this->decoding)) : []),
        ];
    }

    /** How long the wire stays as it is. */
    private function stays(LineFacts $facts): \stdClass
    {
        $isPulses = $this->carrier->shape !== null;

        return (object) [
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

    private function frame(PickedFrame $frame): \stdClass
    {
        $card = $this->carrier->card;
        $counts = $card === null ? $frame->widths : (new FrameLayout($card))->counts((string) $frame->bytes);
        ksort($counts);

        return (object) array_filter([
            't_ms' => Steps::msOf($frame->us),
            'us' => array_map($this->tally->channels->us(...), array_values($counts)),
            'raw' => $card === null ? false : array_values($counts),
            'first_channel' => array_key_first($counts) ?? 1,
            'offset' => $frame->offset ?? false,
            'hex' => $frame->bytes === null ? false : bin2hex($frame->bytes),
        ], static fn (mixed $value): bool => $value !== false);
    }
}
