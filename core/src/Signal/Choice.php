<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\TimedBytes;
use Linguator\Core\Line\Edges;
use Linguator\Core\Line\LineFacts;
use Linguator\Core\Line\LineSetting;
use Linguator\Core\Line\PulseShape;
use Linguator\Core\Line\UartReader;

/** Which format the begin of a capture fits best. */
final readonly class Choice
{
    /** Where the begin looks like pulses nothing else is tried; how sure it is, is told by the whole. */
    private const PULSES = 0.95;

    /** @param  string  $bytes  The begin, as the best card reads it. */
    private function __construct(
        public ?FormatCard $card,
        public float $confidence,
        public ?Rival $runnerUp = null,
        public ?LineSetting $line = null,
        public ?PulseShape $shape = null,
        public string $bytes = '',
    ) {
    }

    public function isRecognised(): bool
    {
        return $this->confidence >= Score::RECOGNISED;
    }

    /**
     * @param  list<FormatCard>  $cards
     * @param  list<TimedBytes>  $chunks
     */
    public static function ofBytes(array $cards, array $chunks): self
    {
        return self::best(array_map(static fn (FormatCard $card): Attempt => new Attempt($card, Score::of($card, $chunks)), $cards));
    }

    /**
     * @param  list<FormatCard>  $cards
     * @param  string|null  $asked  The only format that will do.
     * @param  list<Edges>  $head
     */
    public static function ofEdges(array $cards, ?string $asked, array $head, LineFacts $facts): self
    {
        $shape = $asked === null || in_array($asked, PulseShape::NAMES, true) ? PulseShape::of($head) : null;
        if ($shape !== null && ($asked === null || $shape->name() === $asked)) {
            return new self(null, self::PULSES, shape: $shape);
        }
        $tried = [];
        foreach ($cards as $card) {
            foreach (self::lines($card, $asked !== null, $facts) as $line) {
                $key = "$line->bitUs $line->parity ".($line->isInverted ? 'low' : 'high');
                $read[$key] ??= self::read($line, $head);
                $tried[] = new Attempt($card, Score::of($card, [$read[$key]]), $line, $read[$key]->bytes);
            }
        }

        return self::best($tried);
    }

    /** @param  list<Attempt>  $tried */
    private static function best(array $tried): self
    {
        usort($tried, Attempt::compare(...));
        $first = $tried[0] ?? null;
        if ($first === null || $first->score <= 0.0) {
            return new self(null, 0, bytes: $first->bytes ?? '');
        }
        foreach ($tried as $other) {
            if ($other->card->reportedAs !== $first->card->reportedAs && $other->score > 0.0) {
                $runnerUp = new Rival($other->card->reportedAs, $other->score);
                break;
            }
        }

        return new self($first->card, $first->score, $runnerUp ?? null, $first->line, null, $first->bytes);
    }

    /** @return list<LineSetting> Ways in which this card may stand on the wire, the bit time as measured. */
    private static function lines(FormatCard $card, bool $isAsked, LineFacts $facts): array
    {
        $bit = $facts->bitUs;
        $isNear = $bit !== null && abs(1e6 / $bit - $card->baud) <= $card->baud * LineFacts::BAUD_TOLERANCE;
        if ($bit === null || (! $isNear && ! $isAsked)) {
            return [];
        }
        $ways = $facts->isIdleSure() ? [$facts->idle === 0] : [$facts->idle === 0, $facts->idle !== 0];

        return array_map(static fn (bool $isInverted): LineSetting => new LineSetting($bit, $card->parity, $card->stopBits, $isInverted), $ways);
    }

    /** @param  list<Edges>  $head */
    private static function read(LineSetting $line, array $head): TimedBytes
    {
        $uart = new UartReader($line);

        return TimedBytes::join(...array_map($uart->push(...), $head), ...[$uart->finish()]);
    }
}
