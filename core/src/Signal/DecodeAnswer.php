<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Finding\Finding;
use Linguator\Core\Quantity\Steps;

/** A decoding as the document that the verb `decode` answers. */
final readonly class DecodeAnswer
{
    private const DIGITAL_US = [988.0, 2012.0];

    public function __construct(private Decoding $decoding)
    {
    }

    /** @return array<string, mixed> Fits `verbs/decode.out.json`. */
    public function toArray(): array
    {
        $decoding = $this->decoding;
        $tally = $decoding->tally;
        $isFound = $decoding->format !== null || $decoding->isLog;

        return array_filter([
            'kind' => $decoding->kind->value,
            'format' => $decoding->format,
            'variant' => $decoding->card !== null && $decoding->card->id !== $decoding->format ? $decoding->card->id : false,
            'name' => $decoding->card->name ?? false,
            'confidence' => Steps::clean($decoding->confidence),
            'runner_up' => $decoding->runnerUp,
            'line' => $this->line(),
            'line_facts' => $this->facts(),
            'frames' => ['good' => $isFound ? $tally->good ?? 0 : 0, 'bad' => $isFound ? $tally->bad ?? 0 : 0, 'reasons' => (object) ($isFound ? $tally->reasons ?? [] : [])],
            'period_ms' => $isFound ? $tally?->periods->toArray() : null,
            'channels' => $isFound ? $tally?->channels->toArray() ?? [] : [],
            'digital' => $this->digital(),
            'flags' => ['frame_lost' => $isFound ? $tally?->flags->count('frame_lost') ?? 0 : 0, 'failsafe' => $isFound ? $tally?->flags->count('failsafe') ?? 0 : 0],
            'flag_times' => $isFound ? array_map(self::stretch(...), $tally?->flags->stretches() ?? []) : [],
            'others' => $this->others(),
            'wires' => $decoding->wires,
            'wire' => $decoding->wire === null ? false : $decoding->wires[$decoding->wire] ?? '',
            'bytes' => $decoding->bytes ?? false,
            'damage' => ['count' => $decoding->damage->count, 'places' => $decoding->damage->places],
            'findings' => Finding::listToArray(SignalFindings::of($decoding)),
            'first_frames' => $isFound ? array_map($this->frame(...), $tally->firstFrames ?? []) : [],
            'bad_frames' => $isFound ? array_map(self::bad(...), $tally->badPlaces ?? []) : [],
        ], static fn (mixed $value): bool => $value !== false);
    }

    /** @return array{baud: int|float, inverted: bool, parity: string, stop_bits: int}|null */
    private function line(): ?array
    {
        $line = $this->decoding->line;
        $card = $this->decoding->card;
        if ($line === null || $card === null) {
            return null;
        }
        $baud = $this->decoding->isWrongBaud() ? $this->decoding->facts?->baud() ?? (int) round(1e6 / $line->bitUs) : $card->baud;

        return ['baud' => $baud, 'inverted' => $line->isInverted, 'parity' => $line->parity, 'stop_bits' => $line->stopBits];
    }

    /** @return array<string, mixed>|null */
    private function facts(): ?array
    {
        $facts = $this->decoding->facts;
        if ($facts === null) {
            return $this->decoding->bytes === null ? null : (new ByteFacts($this->decoding))->toArray();
        }

        return [
            'idle' => $facts->idle === 1 ? 'high' : 'low',
            'shortest_us' => $facts->shortestUs === null ? null : round($facts->shortestUs, 4),
            'longest_us' => round($facts->longestUs, 3),
            'bit_us' => $this->decoding->shape !== null || $facts->bitUs === null ? null : round($facts->bitUs, 4),
            'baud' => $this->decoding->shape !== null ? null : $facts->baud(),
            'gap_ms' => $facts->betweenUs > 0 ? round($facts->betweenUs / 1000, 4) : null,
            ...($this->decoding->uart === null ? [] : ['parity_errors' => $this->decoding->uart->parityErrors, 'stop_errors' => $this->decoding->uart->stopErrors]),
            ...($this->decoding->unknownLine === null ? [] : ['parity' => $this->decoding->unknownLine->parity]),
            ...($this->decoding->shape === null && $this->decoding->firstBytes !== '' ? (new ByteFacts($this->decoding))->toArray() : []),
        ];
    }

    /** @return list<array{channel: int, on: int, off: int, us: float}> */
    private function digital(): array
    {
        $card = $this->decoding->card;
        $tally = $this->decoding->tally;
        $all = [];
        for ($k = 1; $card !== null && $tally !== null && $k <= $card->digitalChannels(); $k++) {
            $on = $tally->flags->count("digital_$k");
            $all[] = ['channel' => $card->mostChannels + $k, 'on' => $on, 'off' => $tally->good - $on, 'us' => self::DIGITAL_US[$on * 2 > $tally->good ? 1 : 0]];
        }

        return $all;
    }

    /** @return list<array{type: string, name: string, count: int, last: list<array{name: string, value: int, unit: string}>}> */
    private function others(): array
    {
        $card = $this->decoding->card;
        $tally = $this->decoding->tally;
        $all = [];
        foreach ($tally->others ?? [] as $type => $count) {
            $type = (string) $type;
            $known = array_values(array_filter($card->others ?? [], static fn ($other): bool => $other->type === $type))[0] ?? null;
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

    /**
     * @param  array{us: float|null, offset: int|null, counts: array<int, int>, frame: string|null}  $frame
     * @return array<string, mixed>
     */
    private function frame(array $frame): array
    {
        $tally = $this->decoding->tally;
        assert($tally !== null);
        ksort($frame['counts']);

        return array_filter([
            't_ms' => $frame['us'] === null ? null : Steps::clean($frame['us'] / 1000),
            'us' => array_map($tally->channels->us(...), array_values($frame['counts'])),
            'raw' => $this->decoding->card === null ? false : array_values($frame['counts']),
            'first_channel' => array_key_first($frame['counts']) ?? 1,
            'offset' => $frame['offset'] ?? false,
            'hex' => $frame['frame'] === null ? false : bin2hex($frame['frame']),
        ], static fn (mixed $value): bool => $value !== false);
    }

    /**
     * @param  array{reason: string, offset: int|null, us: float|null, frames: int}  $bad
     * @return array<string, mixed>
     */
    private static function bad(array $bad): array
    {
        return ['reason' => $bad['reason'], 't_ms' => $bad['us'] === null ? null : Steps::clean($bad['us'] / 1000), 'offset' => $bad['offset'], 'frames' => $bad['frames']];
    }

    /**
     * @param  array{flag: string, from_frame: int, from_us: float|null, to_us: float|null, frames: int}  $stretch
     * @return array<string, mixed>
     */
    private static function stretch(array $stretch): array
    {
        return [
            'flag' => $stretch['flag'],
            'from_frame' => $stretch['from_frame'],
            'frames' => $stretch['frames'],
            'from_ms' => $stretch['from_us'] === null ? null : Steps::clean($stretch['from_us'] / 1000),
            'to_ms' => $stretch['to_us'] === null ? null : Steps::clean($stretch['to_us'] / 1000),
        ];
    }
}
