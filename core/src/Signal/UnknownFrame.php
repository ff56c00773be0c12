<?php

declare(strict_types=1);

namespace Linguator\Core\Signal;

use Linguator\Core\Document\Node;
use Linguator\Core\Format\Check;
use Linguator\Core\Format\Part;

/** What the bytes of a format that nobody knows show: how long a frame is, where it begins, and which check holds at its end. */
final readonly class UnknownFrame
{
    private const LOOKED_AT = 4096;

    private const SHORTEST = 4;

    private const LONGEST = 80;

    /** Bytes that come again after one frame length stand out from other lengths by this share of all. */
    private const CONTRAST = 0.06;

    /** A multiple of the frame length repeats nearly as well: the shortest of about the best is taken. */
    private const ABOUT = 0.9;

    /** Damage aside, a byte is always the same, and a check always holds. */
    private const ALWAYS = 0.9;

    /** A check over fewer different frames holds by chance. */
    private const FEWEST_FRAMES = 4;

    /** How many frames are looked at: alike ones say nothing new. */
    private const MOST_FRAMES = 40;

    /** In how many places a frame may begin: with sticks at rest nearly every byte is always the same. */
    private const MOST_STARTS = 32;

    /** Bytes at the begin that a check may leave out. */
    private const LEFT_OUT = 4;

    /**
     * @param  positive-int  $size  Bytes.
     * @param  string  $header  The first byte or bytes; empty: none is always the same.
     * @param  string  $ending  A byte that is always the same behind the check, or none.
     * @param  list<string>  $frames  Different ones, from the header on.
     */
    private function __construct(public int $size, public string $header, public ?Part $check, public string $ending, public array $frames)
    {
    }

    public static function in(string $bytes): ?self
    {
        $bytes = substr($bytes, 0, self::LOOKED_AT);
        $size = self::sizeOf($bytes);
        if ($size === null) {
            return null;
        }
        $constants = self::constants($bytes, $size);
        $checks = self::checks();
        foreach (array_slice(array_keys($constants), 0, self::MOST_STARTS) as $start) {
            $frames = self::frames($bytes, $size, $start);
            foreach (isset($constants[($start + $size - 1) % $size]) ? ['', $constants[($start + $size - 1) % $size]] : [''] as $ending) {
                $check = count($frames) < self::FEWEST_FRAMES ? null : self::checkOf($checks, $frames, $size - strlen($ending));
                if ($check !== null) {
                    return new self($size, self::header($constants, $start, $size, $check), $check, $ending, $frames);
                }
            }
        }
        $start = array_key_first($constants) ?? 0;

        return new self($size, $constants[$start] ?? '', null, '', self::frames($bytes, $size, $start));
    }

    /**
     * What a check leaves out at the begin is the header, if it is always the same; else the first byte is.
     *
     * @param  array<int, string>  $constants
     */
    private static function header(array $constants, int $start, int $size, Part $check): string
    {
        $header = '';
        for ($k = 0; $k < max(1, $check->node->int('from')) && isset($constants[($start + $k) % $size]); $k++) {
            $header .= $constants[($start + $k) % $size];
        }

        return $header;
    }

    /** @return positive-int|null */
    private static function sizeOf(string $bytes): ?int
    {
        $same = [];
        for ($period = self::SHORTEST; $period <= min(self::LONGEST, intdiv(strlen($bytes), 3)); $period++) {
            $same[$period] = substr_count(substr($bytes, 0, -$period) ^ substr($bytes, $period), "\0") / (strlen($bytes) - $period);
        }
        if ($same === []) {
            return null;
        }
        $sorted = array_values($same);
        sort($sorted);
        $usual = $sorted[intdiv(count($sorted), 2)];
        $best = max($same) - $usual;
        foreach ($same as $period => $share) {
            if ($best > self::CONTRAST && $share - $usual >= self::ABOUT * $best) {
                return $period;
            }
        }

        return null;
    }

    /**
     * Bytes that are the same in every frame, by their place counted from where the capture begins.
     *
     * @param  positive-int  $size
     * @return array<int, string>
     */
    private static function constants(string $bytes, int $size): array
    {
        $columns = [];
        $frames = array_filter(str_split($bytes, $size), static fn (string $frame): bool => strlen($frame) === $size);
        for ($at = 0; $at < $size; $at++) {
            $counts = array_count_values(array_map(static fn (string $frame): int => ord($frame[$at]), $frames));
            arsort($counts);
            if (reset($counts) >= self::ALWAYS * count($frames)) {
                $columns[$at] = chr((int) key($counts));
            }
        }

        return $columns;
    }

    /**
     * @param  positive-int  $size
     * @return list<string> Different ones.
     */
    private static function frames(string $bytes, int $size, int $start): array
    {
        $frames = array_filter(str_split(substr($bytes, $start), $size), static fn (string $frame): bool => strlen($frame) === $size);

        return array_slice(array_values(array_unique($frames)), 0, self::MOST_FRAMES);
    }

    /**
     * @param  list<array{Part, Check}>  $checks
     * @param  non-empty-list<string>  $frames
     * @param  int  $end  Where the check ends.
     */
    private static function checkOf(array $checks, array $frames, int $end): ?Part
    {
        foreach ($checks as [$part, $check]) {
            $width = $part->checkBytes();
            for ($from = 0; $from <= min(self::LEFT_OUT, $end - $width - 1); $from++) {
                $holds = static fn (string $frame): bool => $check->bytes(substr($frame, $from, $end - $width - $from)) === substr($frame, $end - $width, $width);
                // The first ones tell nearly every wrong check at once.
                if (($holds($frames[0]) || $holds($frames[1] ?? '')) && count(array_filter($frames, $holds)) >= self::ALWAYS * count($frames)) {
                    return new Part(new Node((object) ((array) $part->node->value + ['from' => $from])));
                }
            }
        }

        return null;
    }

    /** @return list<array{Part, Check}> Usual checks, as parts of a card. */
    private static function checks(): array
    {
        $parts = array_map(static fn (string $kind): array => ['check' => $kind], ['sum8', 'complement8', 'carry8']);
        foreach ([0xD5, 0x07, 0x31, 0x1D, 0x9B, 0x2F] as $poly) {
            array_push($parts, ['check' => 'crc8', 'poly' => $poly], ['check' => 'crc8', 'poly' => $poly, 'init' => 0xFF]);
        }
        foreach (['big', 'little'] as $order) {
            array_push($parts, ['check' => 'sum16', 'order' => $order], ['check' => 'complement16', 'order' => $order]);
            foreach ([0x1021, 0x8005] as $poly) {
                array_push($parts, ['check' => 'crc16', 'poly' => $poly, 'order' => $order], ['check' => 'crc16', 'poly' => $poly, 'init' => 0xFFFF, 'order' => $order]);
            }
        }

        $checks = [];
        foreach ($parts as $document) {
            $part = new Part(new Node((object) $document));
            $checks[] = [$part, Check::of($part)];
        }

        return $checks;
    }
}
