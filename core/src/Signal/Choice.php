<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Format\FormatCard;
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

    /** @param  array{format: string, confidence: float}|null  $runnerUp */
    private function __construct(
        public ?FormatCard $card,
        public float $confidence,
        public ?array $runnerUp,
        public ?LineSetting $line = null,
        public ?PulseShape $shape = null,
        public string $bytes = '',
    ) {
    }

    /** `ppm` or `pwm` where pulses fit. */
    public function name(): ?string
    {
        return $this->shape === null ? null : self::shapeName($this->shape);
    }

    /**
     * @param  list<FormatCard>  $cards
     * @param  list<array{string, list<float>}>  $chunks
     */
    public static function ofBytes(array $cards, array $chunks): self
    {
        return self::best(array_map(static fn (FormatCard $card): array => [$card, Score::of($card, $chunks), null, ''], $cards));
    }

    /**
     * @param  list<FormatCard>  $cards
     * @param  string|null  $asked  The only format that will do.
     * @param  list<Edges>  $head
     */
    public static function ofEdges(array $cards, ?string $asked, array $head, LineFacts $facts): self
    {
        $shape = $asked === null || $asked === 'ppm' || $asked === 'pwm' ? PulseShape::of($head) : null;
        if ($shape !== null && ($asked === null || self::shapeName($shape) === $asked)) {
            return new self(null, self::PULSES, null, null, $shape);
        }
        $tried = [];
        foreach ($cards as $card) {
            foreach (self::lines($card, $asked !== null, $facts) as $line) {
                $key = "$line->bitUs $line->parity ".($line->isInverted ? 'low' : 'high');
                $read[$key] ??= self::read($line, $head);
                $tried[] = [$card, Score::of($card, $read[$key]), $line, $read[$key][0][0]];
            }
        }

        return self::best($tried);
    }

    /** @param  list<array{FormatCard, float, LineSetting|null, string}>  $tried */
    private static function best(array $tried): self
    {
        // Of two kinds of a format that fit alike the usual one comes first.
        usort($tried, static fn (array $a, array $b): int => $b[1] <=> $a[1] ?: strlen($a[0]->id) <=> strlen($b[0]->id));
        $first = $tried[0] ?? null;
        $line = $first[2] ?? null;
        if ($first === null || $first[1] <= 0.0) {
            return new self(null, 0, null, null, null, $first[3] ?? '');
        }
        $others = array_values(array_filter($tried, static fn (array $one): bool => $one[0]->reportedAs !== $first[0]->reportedAs && $one[1] > 0.0));

        return new self($first[0], $first[1], $others === [] ? null : ['format' => $others[0][0]->reportedAs, 'confidence' => $others[0][1]], $line, null, $first[3]);
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

    /**
     * @param  list<Edges>  $head
     * @return non-empty-list<array{string, list<float>}>
     */
    private static function read(LineSetting $line, array $head): array
    {
        $uart = new UartReader($line);
        [$bytes, $times] = ['', []];
        foreach ($head as $edges) {
            [$some, $when] = $uart->push($edges);
            $bytes .= $some;
            array_push($times, ...$when);
        }
        [$some, $when] = $uart->finish();

        return [[$bytes.$some, [...$times, ...$when]]];
    }

    private static function shapeName(PulseShape $shape): string
    {
        return $shape->channels === null ? 'pwm' : 'ppm';
    }
}
