<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Holds the answer of `dance` against a worked case or a simulated one; says where they differ. */
final class DanceCase
{
    private const FOUND = ['found', 'twice'];

    /** @return list<\stdClass> Rows of a log as a capture has them. */
    public static function log(string $name): array
    {
        $rows = [];
        foreach (array_slice(file(dirname(__DIR__, 2)."/tests/fixtures/vectors/dance/$name", FILE_IGNORE_NEW_LINES) ?: [], 1) as $line) {
            $values = array_map(floatval(...), explode(',', $line));
            $rows[] = (object) ['t_ms' => $values[0], 'us' => array_slice($values, 1)];
        }

        return $rows;
    }

    /** The stick of a letter, which must have been found. */
    public static function stick(\stdClass $answer, string $letter): \stdClass
    {
        foreach ($answer->channels as $channel) {
            if (($channel->letter ?? null) === $letter) {
                return $channel;
            }
        }

        throw new \LogicException("No stick $letter was found.");
    }

    /**
     * @param  \stdClass  $expected  As `out` in tests/fixtures/vectors/dance.json.
     * @param  float  $tolerance  µs
     * @return list<string> Nothing: they agree. What begins with "wrong" is a confident wrong.
     */
    public static function differences(\stdClass $expected, \stdClass $answer, float $tolerance): array
    {
        $found = [];
        foreach ($expected->moves as $k => $move) {
            if (isset($move->state)) {
                array_push($found, ...self::move($k, $move, $answer->moves[$k]));
            }
        }
        foreach ($expected->channels as $channel) {
            array_push($found, ...self::channel($channel, $answer, $tolerance));
        }
        if (property_exists($expected, 'order') && ! in_array($answer->order, (array) ($expected->order ?? [null]), true)) {
            $found[] = ($answer->order === null ? '' : 'wrong ').'order: '.json_encode($answer->order).' instead of '.json_encode($expected->order);
        }
        $redo = array_keys(array_filter($answer->moves, static fn (\stdClass $move): bool => ! in_array($move->state, self::FOUND, true)));
        if ($redo !== $answer->redo) {
            $found[] = 'redo: '.json_encode($answer->redo).' instead of '.json_encode($redo);
        }
        $codes = array_column($answer->findings, 'code');
        foreach (array_diff($expected->findings ?? [], $codes) as $code) {
            $found[] = "finding $code is missing";
        }
        foreach (array_intersect($expected->findings_absent ?? [], $codes) as $code) {
            $found[] = "finding $code should not be there";
        }
        if (isset($expected->thresholds_if_given, $answer->proposals->thresholds)) {
            foreach (get_object_vars($expected->thresholds_if_given) as $key => $value) {
                if (abs($answer->proposals->thresholds->{$key} - $value) > $tolerance) {
                    $found[] = "$key: {$answer->proposals->thresholds->{$key}} instead of $value";
                }
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function move(int $k, \stdClass $expected, \stdClass $move): array
    {
        if (! in_array($move->state, (array) $expected->state, true)) {
            return [(in_array($move->state, self::FOUND, true) ? 'wrong ' : '')."move $k is $move->state instead of ".implode('/', (array) $expected->state).', channel '.json_encode($move->channel)];
        }
        if (! in_array($move->state, self::FOUND, true)) {
            return [];
        }
        $found = [];
        if ($move->channel !== $expected->channel) {
            $found[] = "wrong move $k is on channel $move->channel instead of $expected->channel";
        }
        if (array_diff($move->also, $expected->also) !== [] || array_diff($expected->also, $move->also) !== []) {
            $found[] = "move $k moved also ".json_encode($move->also).' instead of '.json_encode($expected->also);
        }
        if (isset($expected->during_ms)) {
            [$from, $to] = $expected->during_ms;
            if (min($to, $move->to_ms) - max($from, $move->from_ms) < ($to - $from) / 2) {
                $found[] = "move $k lasts from $move->from_ms to $move->to_ms instead of $from to $to";
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function channel(\stdClass $expected, \stdClass $answer, float $tolerance): array
    {
        $read = array_column($answer->channels, null, 'channel')[$expected->channel];
        $isFound = isset($expected->of_move) ? in_array($answer->moves[$expected->of_move]->state, self::FOUND, true) : true;
        $found = [];
        if (! $isFound) {
            foreach (['letter', 'id', 'levels', 'reversed'] as $key) {
                if (($read->{$key} ?? null) !== null) {
                    $found[] = "wrong $key of channel $expected->channel: ".json_encode($read->{$key}).' is deduced from nothing';
                }
            }

            return $found;
        }
        foreach (get_object_vars($expected) as $key => $value) {
            $is = $read->{$key} ?? null;
            $agrees = match (true) {
                in_array($key, ['channel', 'of_move'], true) => true,
                $key === 'kind' => in_array($is, (array) $value, true),
                $key === 'noise_us' => $is >= $value[0] && $is <= $value[1],
                $key === 'levels' => count($is ?? []) === count($value) && array_filter(array_map(static fn (float|int $a, float|int $b): bool => abs($a - $b) > $tolerance, $is, $value)) === [],
                is_int($value) || is_float($value) => $is !== null && abs($is - $value) <= $tolerance,
                default => json_encode($is) === json_encode($value),
            };
            if (! $agrees) {
                $isGrave = in_array($key, ['letter', 'id', 'reversed', 'levels'], true) && $is !== null;
                $found[] = ($isGrave ? 'wrong ' : '')."$key of channel $expected->channel: ".json_encode($is).' instead of '.json_encode($value);
            }
        }

        return $found;
    }
}
