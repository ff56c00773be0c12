<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

/** Chunks of a text file cut at line ends. A line longer than any sound one is cut into pieces, so that memory stays flat. */
final class Lines
{
    public const LONGEST = 65_536;

    /**
     * @param  iterable<string>  $chunks
     * @return \Generator<int, string> Whole lines with their ends; keyed by the number of the first one, from 1. CRLF and CR are read as LF.
     */
    public static function blocks(iterable $chunks): \Generator
    {
        $line = 1;
        $held = '';
        $isFirst = true;
        foreach ($chunks as $chunk) {
            if ($isFirst && str_starts_with($chunk, "\xEF\xBB\xBF")) {
                $chunk = substr($chunk, 3);
            }
            $isFirst = false;
            $held .= $chunk;
            $end = strrpos($held, "\n");
            $end = $end === false ? strrpos(substr($held, 0, -1), "\r") : $end;
            if ($end === false && strlen($held) > self::LONGEST) {
                $end = strlen($held) - 1;
            }
            if ($end !== false) {
                $block = self::plain(substr($held, 0, $end + 1));
                $held = substr($held, $end + 1);
                yield $line => $block;
                $line += substr_count($block, "\n");
            }
        }
        if ($held !== '') {
            yield $line => self::plain($held);
        }
    }

    private static function plain(string $block): string
    {
        return str_contains($block, "\r") ? strtr(str_replace("\r\n", "\n", $block), "\r", "\n") : $block;
    }
}
