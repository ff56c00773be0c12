<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Format\TimedBytes;

/** Bytes as hex pairs, parted by spaces, commas, semicolons or nothing; a line may start with its time (`12.345 ms:`). */
final class HexReader implements ByteCapture
{
    private const TIME = '/^\s*([0-9]+(?:[.,][0-9]+)?)\s*(s|ms|us|µs|μs|ns)\s*:/';

    /** A line that holds nothing but pairs. */
    private const PAIRS = '/^(?:[\s,;]*+(?:0[xX])?(?:[0-9a-fA-F]{2})++)*+[\s,;]*+$/D';

    private const US = ['s' => 1e6, 'ms' => 1e3, 'us' => 1.0, 'µs' => 1.0, 'μs' => 1.0, 'ns' => 1e-3];

    private bool $isTimed = false;

    private float $us = 0;

    /** Times count only where the first line has one: bytes with and without times do not mix. */
    private bool $hasBytes = false;

    public function __construct(private readonly Source $source, private readonly Damage $damage)
    {
    }

    public function bytes(): \Generator
    {
        [$this->isTimed, $this->us, $this->hasBytes] = [false, 0, false];
        foreach (Lines::blocks($this->source->chunks()) as $line => $block) {
            $bytes = '';
            $times = [];
            foreach (explode("\n", $block) as $k => $text) {
                if ($text !== '') {
                    $read = $this->line($text, $line + $k);
                    $bytes .= $read;
                    $this->hasBytes = $this->hasBytes || $read !== '';
                    if ($this->isTimed) {
                        array_push($times, ...array_fill(0, strlen($read), $this->us));
                    }
                }
            }
            if ($bytes !== '') {
                yield new TimedBytes($bytes, $times);
            }
        }
    }

    /** @phpstan-impure */
    private function line(string $text, int $line): string
    {
        if (preg_match(self::TIME, $text, $match) === 1) {
            $us = (float) strtr($match[1], ',', '.') * self::US[$match[2]];
            if ($us < $this->us || ! CaptureTime::isPossible($us)) {
                $this->damage->onLine($line, trim($match[0]), CaptureTime::isPossible($us) ? 'a time not before the one above it' : CaptureTime::EXPECTED);
            }
            $this->us = CaptureTime::isPossible($us) ? max($this->us, $us) : $this->us;
            $this->isTimed = $this->isTimed || ! $this->hasBytes;
            $text = substr($text, strlen($match[0]));
        }
        if (preg_match(self::PAIRS, $text) !== 1) {
            $text = $this->sound($text, $line);
        }

        return (string) hex2bin((string) preg_replace('/0[xX]|[^0-9a-fA-F]/', '', $text));
    }

    /** What can be read of a line with something else in it. */
    private function sound(string $text, int $line): string
    {
        $sound = '';
        foreach (preg_split('/[\s,;]+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (preg_match('/^(?:0[xX])?((?:[0-9a-fA-F]{2})+)$/D', $word, $match) === 1) {
                $sound .= $match[1].' ';
            } else {
                $this->damage->onLine($line, $word, 'pairs of hex digits, such as 0f or 0x0F');
            }
        }

        return $sound;
    }
}
