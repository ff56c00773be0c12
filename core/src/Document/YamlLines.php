<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** Finds the line of a place in block-style YAML, for error messages; inside `{…}` on one line it names that line. */
final class YamlLines
{
    private const KEY = '/\G(?:"((?:[^"\\\\]|\\\\.)*)"|\'((?:[^\']|\'\')*)\'|([^\s"\'\[\]{}#&*!|>%@`,][^#]*?))\s*:(?=\s|$)/';

    /** A list may stand as far left as its key: its items count as half a column further right. */
    private const ITEM = 0.5;

    /** @var list<array{column: float, step: string}> From the document down to where the reading is. */
    private array $open = [];

    /** @var array<string, int> */
    private array $lines = [];

    private function __construct(string $text)
    {
        $literal = null;
        foreach (explode("\n", $text) as $k => $line) {
            $indent = strspn($line, ' ');
            if (preg_match('/^\s*(#|$)/', $line) === 1 || ($literal !== null && $indent > $literal)) {
                continue;
            }
            $this->lines[''] ??= $k + 1;
            $this->line($line, $k + 1);
            $literal = preg_match('/[:-] [|>][+-]?\d?[+-]?\s*$/', $line) === 1 ? $indent : null;
        }
    }

    /** The line (from 1) of the deepest part of the path that can be found. */
    public static function of(string $text, string $path): int
    {
        $lines = (new self($text))->lines;
        for (; ! isset($lines[$path]) && $path !== ''; $path = substr($path, 0, (int) strrpos($path, '.'))) {
            continue;
        }

        return $lines[$path] ?? 1;
    }

    private function line(string $line, int $number): void
    {
        $at = strspn($line, ' ');
        while (preg_match('/\G-(?: +|$)/', $line, $dash, 0, $at) === 1) {
            $this->close($at + self::ITEM);
            $this->enter($at + self::ITEM, (string) $this->nextItem($at + self::ITEM), $number);
            $at += strlen($dash[0]);
        }
        if (preg_match(self::KEY, $line, $key, PREG_UNMATCHED_AS_NULL, $at) === 1) {
            $this->close($at - self::ITEM);
            $this->enter($at, $key[1] ?? $key[2] ?? $key[3] ?? '', $number);
        }
    }

    /** Leaves everything that stands further right. */
    private function close(float $column): void
    {
        while ($this->open !== [] && $this->open[count($this->open) - 1]['column'] > $column) {
            array_pop($this->open);
        }
    }

    /** Position of an item that begins here: the one after the item before, which ends. */
    private function nextItem(float $column): int
    {
        $last = end($this->open);
        if ($last === false || $last['column'] !== $column) {
            return 0;
        }
        array_pop($this->open);

        return (int) $last['step'] + 1;
    }

    private function enter(float $column, string $step, int $number): void
    {
        $this->open[] = ['column' => $column, 'step' => $step];
        $this->lines[implode('.', array_column($this->open, 'step'))] ??= $number;
    }
}
