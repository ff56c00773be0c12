<?php

declare(strict_types=1);

namespace Linguator\Core\Line;

use Linguator\Core\Format\FormatCard;

/** Numbers of a serial line, to choose from: baud, parity and stop bits, as manuals print them ("100 000 8E2"). */
final readonly class LineChoice
{
    private function __construct(public int $baud, public string $parity, public int $stop, public string $title)
    {
    }

    /**
     * Each line that one of these formats has, slowest first.
     *
     * @param  list<FormatCard>  $formats
     * @return list<self>
     */
    public static function among(array $formats): array
    {
        $lines = [];
        foreach ($formats as $format) {
            $numbers = sprintf('%s 8%s%d', number_format($format->baud, 0, '', ' '), strtoupper($format->parity[0] ?? 'n'), $format->stopBits);
            $lines[$numbers] = new self($format->baud, $format->parity, $format->stopBits, $numbers);
        }
        usort($lines, static fn (self $one, self $other): int => $one->baud <=> $other->baud);

        return $lines;
    }
}
