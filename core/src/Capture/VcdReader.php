<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Line\Edges;

/** A value change dump (IEEE 1364): its one-bit variables are wires. */
final class VcdReader implements WireCapture
{
    private const HEADER_BYTES = 1_048_576;

    /** µs. */
    private const UNITS = ['s' => 1e6, 'ms' => 1e3, 'us' => 1.0, 'ns' => 1e-3, 'ps' => 1e-6, 'fs' => 1e-9];

    private float $usPerTick;

    /** @var array<string, string> Name of each one-bit variable, by the code it has in the dump. */
    private array $variables = [];

    private int $bodyAt;

    /** Of the wire that is being read: its code, its level ('' before the first one), the last time read and that of the last change. */
    private string $code = '';

    private string $level = '';

    private string $stamp = '#0';

    private float $us = -INF;

    /** @throws DocumentError if the header breaks off or declares no one-bit variable. */
    public function __construct(private readonly Source $source, private readonly Damage $damage)
    {
        $head = $source->head(self::HEADER_BYTES);
        $end = strpos($head, '$enddefinitions');
        if ($end === false) {
            throw new DocumentError('truncated', 'The dump ends inside its header, at byte '.strlen($head).'; expected $enddefinitions and changes behind it.');
        }
        $close = strpos($head, '$end', $end + strlen('$enddefinitions'));
        $this->bodyAt = $close === false ? strlen($head) : $close + strlen('$end');
        $header = substr($head, 0, $end);
        $this->usPerTick = self::timescale($header);
        $this->variables($header);
    }

    public function wires(): array
    {
        return array_values($this->variables);
    }

    public function edges(int $wire): \Generator
    {
        $this->code = array_keys($this->variables)[$wire];
        [$this->level, $this->stamp, $this->us] = ['', '#0', -INF];
        $code = preg_quote($this->code, '/');
        $alone = "/^(?:[01]$code\n)?+((?:#[0-9]++\n[01]$code\n)++)(#[0-9]++\n)?+$/D";
        foreach (Lines::blocks($this->source->chunks($this->bodyAt)) as $line => $block) {
            // Most dumps hold one wire: each time with its one change.
            $times = $this->alternating($block) ?? (preg_match($alone, $block, $match) === 1 ? $this->pairs($block, $match[1], $match[2] ?? '', $line) : null) ?? $this->block($block, $line);
            if ($times !== []) {
                yield new Edges((int) $this->level ^ (count($times) + 1 & 1), $times);
            }
        }
    }

    /**
     * The usual block: times and changes of the one wire in turn, none before the one above it.
     *
     * @return list<float>|null Null: it is not that, and must be read change by change.
     */
    private function alternating(string $block): ?array
    {
        $code = $this->code;
        $lead = $block[0] === '#' ? '' : $this->stamp."\n";
        $block = $lead.$block;
        $trail = strrpos($block, '#');
        if ($trail === false || $this->level === '') {
            return null;
        }
        // A time whose change stands in the next block waits there.
        $isCut = substr_count($block, "\n", $trail) === 1;
        $pairs = $isCut ? substr($block, 0, $trail) : $block;
        [$first, $second] = $this->level === '0' ? ['1', '0'] : ['0', '1'];
        $quoted = preg_quote($code, '/');
        if ($pairs === '' || preg_match("/^(?:#[0-9]{1,17}+\n$first$quoted\n#[0-9]{1,17}+\n$second$quoted\n)*+(?:#[0-9]{1,17}+\n$first$quoted\n)?+$/D", $pairs) !== 1) {
            return null;
        }
        $times = array_map(floatval(...), explode('#', substr(str_replace(["\n$first$code\n", "\n$second$code\n"], '', $pairs), 1)));
        [$us, $perTick] = [$this->us, $this->usPerTick];
        foreach ($times as $k => $ticks) {
            $now = $ticks * $perTick;
            if ($now < $us) {
                return null;
            }
            $times[$k] = $us = $now;
        }
        if (! CaptureTime::isPossible($us)) {
            return null;
        }
        [$this->us, $this->level] = [$us, count($times) % 2 === 1 ? $first : $second];
        $this->stamp = $isCut ? trim(substr($block, $trail)) : substr($pairs, (int) strrpos($pairs, '#'), strpos($pairs, "\n", (int) strrpos($pairs, '#')) - (int) strrpos($pairs, '#'));

        return $times;
    }

    /**
     * @param  string  $pairs  The block without a change at its begin whose time stands in the block before, and without a time at its end.
     * @return list<float>|null Null: one of them is no possible time, so that they must be looked at one by one.
     */
    private function pairs(string $block, string $pairs, string $stamp, int $line): ?array
    {
        if ((float) substr((string) strrchr($pairs, '#'), 1) * $this->usPerTick > CaptureTime::FARTHEST_US || preg_match('/#[0-9]{17}/', $pairs) === 1) {
            return null;
        }
        $times = [];
        if ($block[0] !== '#') {
            $this->change($block[0], $times, $line);
        }
        $levelAt = -2 - strlen($this->code);
        $perTick = $this->usPerTick;
        [$level, $us] = [$this->level, $this->us];
        $parts = explode('#', $pairs);
        for ($k = 1, $n = count($parts); $k < $n; $k++) {
            $now = (float) $parts[$k] * $perTick;
            $new = $parts[$k][$levelAt];
            if ($now < $us) {
                $this->damage->onLine($line + 2 * $k - 2, '#'.(int) $parts[$k], 'a time not before the one above it');
            } elseif ($new !== $level) {
                if ($level !== '') {
                    $times[] = $now;
                }
                [$level, $us] = [$new, $now];
            }
        }
        $this->level = $level;
        $this->us = $us;
        $this->stamp = $stamp === '' ? '#'.(int) $parts[$n - 1] : trim($stamp);

        return $times;
    }

    /** @return list<float> */
    private function block(string $block, int $line): array
    {
        $times = [];
        [$one, $zero] = ["1$this->code", "0$this->code"];
        foreach (explode("\n", $block) as $k => $text) {
            if ($text === $one || $text === $zero) {
                $this->change($text[0], $times, $line + $k);
            } elseif ($text !== '' && $text[0] === '#' && ctype_digit(substr($text, 1))) {
                $this->stamp = $text;
            } elseif ($text !== '') {
                foreach ($this->tokens($text, $line + $k) as $token) {
                    if ($token[0] === '#') {
                        $this->stamp = $token;
                    } elseif ($token === $one || $token === $zero) {
                        $this->change($token[0], $times, $line + $k);
                    }
                }
            }
        }

        return $times;
    }

    /** @param  list<float>  $times */
    private function change(string $level, array &$times, int $line): void
    {
        if ($level === $this->level) {
            return;
        }
        $us = (float) substr($this->stamp, 1) * $this->usPerTick;
        if ($us < $this->us || ! CaptureTime::isPossible($us)) {
            $this->damage->onLine($line, $this->stamp, CaptureTime::isPossible($us) ? 'a time not before the one above it' : CaptureTime::EXPECTED);

            return;
        }
        if ($this->level !== '') {
            $times[] = $us;
        }
        [$this->level, $this->us] = [$level, $us];
    }

    public function grainUs(): null
    {
        return null;
    }

    public function busiest(): int
    {
        $counts = array_fill_keys(array_keys($this->variables), 0);
        foreach (Lines::blocks($this->source->chunks($this->bodyAt)) as $block) {
            $block = "\n".strtr($block, " \t", "\n\n")."\n";
            foreach ($counts as $code => $count) {
                $counts[$code] = $count + substr_count($block, "\n1$code\n") + substr_count($block, "\n0$code\n");
            }
        }

        $counts = array_values($counts);

        arsort($counts);

        return (int) array_key_first($counts);
    }

    /** @return list<string> Times and one-bit changes of a line that holds more than one, or something else. */
    private function tokens(string $text, int $line): array
    {
        $tokens = [];
        $isVector = false;
        foreach (preg_split('/\s+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if ($isVector) {
                $isVector = false;

                continue;
            }
            if (preg_match('/^(?:#[0-9]+|[01xXzZ].+|\$[a-z]*)$/D', $word) === 1) {
                $tokens[] = $word;
            } elseif (preg_match('/^[bBrR]/', $word) === 1) {
                $isVector = true;
                if (preg_match('/^[bB]([01])$/D', $word, $bit) === 1 && preg_match('/\s(\S+)\s*$/', $text, $code) === 1) {
                    $tokens[] = $bit[1].$code[1];
                }
            } else {
                $this->damage->onLine($line, $word, 'a time such as #1200 or a change such as 1!');
            }
        }

        return $tokens;
    }

    private static function timescale(string $header): float
    {
        if (preg_match('/\$timescale\s*([0-9]+)\s*([munpf]?s)\s*\$end/', $header, $match) !== 1) {
            throw new DocumentError('no_timescale', 'Found no unit of time; expected a line such as $timescale 1 us $end in the header.');
        }

        return max(1, (int) $match[1]) * self::UNITS[$match[2]];
    }

    private function variables(string $header): void
    {
        preg_match_all('/\$(?:scope\s+\S+\s+(?<scope>\S+)|(?<up>upscope)|var\s+(?<type>\S+)\s+(?<bits>[0-9]+)\s+(?<code>\S+)\s+(?<name>.*?))\s*\$end/s', $header, $found, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
        [$scopes, $names] = [[], []];
        foreach ($found as $one) {
            if ($one['scope'] !== null) {
                $scopes[] = $one['scope'];
            } elseif ($one['up'] !== null) {
                array_pop($scopes);
            } elseif ($one['bits'] === '1' && $one['type'] !== 'real') {
                $names[(string) $one['code']] ??= ['name' => (string) $one['name'], 'whole' => implode('.', [...$scopes, $one['name']])];
            }
        }
        // Wires of the same name in different scopes are told apart by their scope.
        $often = array_count_values(array_column($names, 'name'));
        $this->variables = array_map(static fn (array $one): string => $often[$one['name']] > 1 ? $one['whole'] : $one['name'], $names);
        $found = array_values(array_filter($found, static fn (array $one): bool => $one['name'] !== null));
        if ($this->variables === []) {
            throw new DocumentError('no_wire', 'Found '.count($found).' variables, none of one bit'.($found === [] ? '' : ' (the first is '.Excerpt::of($found[0]['name']).')').'; expected a wire such as $var wire 1 ! rx $end.');
        }
    }
}
