<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** The worked captures (`tests/fixtures/captures/index.json`), and how an answer is held against them. */
final class CaptureCase
{
    private const ENDS_US = 25.0;

    /** @return \Generator<string, array{string, array<string, mixed>, \stdClass}> File, options, and what is expected. */
    public static function all(): \Generator
    {
        $index = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/tests/fixtures/captures/index.json'));
        foreach ($index->captures as $k => $case) {
            $options = [];
            foreach ($case->args ?? [] as $argument) {
                [$name, $value] = explode('=', ltrim($argument, '-'));
                $options[$name] = is_numeric($value) ? (int) $value : $value;
            }
            yield "$k $case->file" => [$case->file, $options, $case->expect];
        }
    }

    /** @return list<string> */
    public static function differences(\stdClass $expected, \stdClass $answer): array
    {
        $wrong = [];
        foreach (['kind', 'format'] as $key) {
            if (property_exists($expected, $key) && $expected->{$key} !== $answer->{$key}) {
                $wrong[] = "$key: ".json_encode($answer->{$key});
            }
        }
        if (isset($expected->line) && (array) $expected->line !== (array) $answer->line) {
            $wrong[] = 'line: '.json_encode($answer->line);
        }
        if ($answer->confidence < ($expected->confidence_min ?? 0) || $answer->confidence >= ($expected->confidence_max ?? 2)) {
            $wrong[] = "confidence: $answer->confidence";
        }
        foreach (['good' => $answer->frames->good, 'bad' => $answer->frames->bad] as $key => $count) {
            $wrong = [...$wrong, ...self::outside($key, $count, $expected->{$key} ?? null)];
        }
        foreach ($expected->period_ms ?? [] as $key => $range) {
            $wrong = [...$wrong, ...self::outside("period $key", $answer->period_ms->{$key}, $range)];
        }
        foreach ($expected->flags ?? [] as $key => $range) {
            $wrong = [...$wrong, ...self::outside($key, $answer->flags->{$key}, $range)];
        }
        $codes = array_column($answer->findings, 'code');
        $wrong = [...$wrong, ...array_diff($expected->findings ?? [], $codes), ...array_intersect($expected->findings_absent ?? [], $codes)];
        if (isset($expected->first_frames) && array_column($answer->first_frames, 'us') != $expected->first_frames->us) {
            $wrong[] = 'first frames';
        }

        return [...$wrong, ...self::channels($expected, $answer)];
    }

    /** @return list<string> */
    private static function channels(\stdClass $expected, \stdClass $answer): array
    {
        $found = array_column($answer->channels, null, 'channel');
        $wrong = [];
        foreach ($expected->channels ?? [] as $channel => $figures) {
            $ends = $expected->ends_tolerance_us ?? self::ENDS_US;
            foreach (['mean_us' => $expected->channel_tolerance_us, 'min_us' => $ends, 'max_us' => $ends] as $key => $tolerance) {
                if (abs(($found[$channel]->{$key} ?? 0) - $figures->{$key}) > $tolerance) {
                    $wrong[] = "channel $channel $key: ".($found[$channel]->{$key} ?? 'missing');
                }
            }
        }

        return $wrong;
    }

    /**
     * @param  array{float, float}|null  $range
     * @return list<string>
     */
    private static function outside(string $what, float $found, ?array $range): array
    {
        return $range === null || ($found >= $range[0] && $found <= $range[1]) ? [] : ["$what: $found"];
    }
}
