<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

/** How bytes stand on a wire whose format nobody knows: the parity and polarity with the fewest wrong bytes. */
final readonly class LineGuess
{
    /** With more wrong bytes than this these are no bytes at all. */
    private const MOST_WRONG = 0.1;

    private const FEWEST_BYTES = 8;

    private function __construct(public LineSetting $line, public string $bytes)
    {
    }

    /**
     * @param  list<Edges>  $head  The begin of a capture.
     * @return self|null Null: its stays are no multiples of a bit, or hardly any byte is sound.
     */
    public static function of(array $head, LineFacts $facts): ?self
    {
        if ($facts->bitUs === null) {
            return null;
        }
        [$best, $fewest] = [null, self::MOST_WRONG];
        foreach ($facts->isIdleSure() ? [$facts->idle === 0] : [$facts->idle === 0, $facts->idle !== 0] as $isInverted) {
            foreach (['none', 'even', 'odd'] as $parity) {
                $reader = new UartReader(new LineSetting($facts->bitUs, $parity, 1, $isInverted));
                $bytes = implode('', array_map(static fn (Edges $edges): string => $reader->push($edges)->bytes, $head)).$reader->finish()->bytes;
                $wrong = ($reader->parityErrors + $reader->stopErrors) / max(1, strlen($bytes) + $reader->stopErrors);
                if (strlen($bytes) >= self::FEWEST_BYTES && $wrong < $fewest) {
                    [$best, $fewest] = [new self(new LineSetting($facts->bitUs, $parity, 1, $isInverted), $bytes), $wrong];
                }
            }
        }

        return $best;
    }
}
