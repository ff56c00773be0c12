<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

/** Goes through documents place by place, and makes copies that differ in one place. */
final class Places
{
    private const OBJECTS = 25;

    /** @return \Generator<string, mixed> Every place below, by its path; the document itself by the empty path. */
    public static function of(mixed $value, string $path = ''): \Generator
    {
        yield $path => $value;
        if (is_array($value) || $value instanceof \stdClass) {
            foreach ($value as $key => $item) {
                yield from self::of($item, ltrim("$path.$key", '.'));
            }
        }
    }

    /** @return array<string, mixed> Objects of a large document by their paths: the document itself, and some of those below. */
    public static function some(\stdClass $document): array
    {
        $objects = array_filter(iterator_to_array(self::of($document)), static fn (mixed $value): bool => $value instanceof \stdClass);
        unset($objects['']);
        $paths = array_keys($objects);
        shuffle($paths);

        return ['' => $document] + array_intersect_key($objects, array_flip(array_slice($paths, 0, self::OBJECTS)));
    }

    /** A copy with another value at this place. */
    public static function with(mixed $document, string $path, mixed $value): mixed
    {
        if ($path === '') {
            return $value;
        }
        $copy = unserialize(serialize($document));
        $place = &$copy;
        foreach (explode('.', $path) as $step) {
            if (is_array($place)) {
                $place = &$place[(int) $step];
            } else {
                $place = &$place->{$step};
            }
        }
        $place = $value;

        return $copy;
    }

    /** A copy without this key of the object at this place. */
    public static function without(mixed $document, string $path, string $key): mixed
    {
        $copy = unserialize(serialize($document));
        $place = $copy;
        foreach ($path === '' ? [] : explode('.', $path) as $step) {
            $place = is_array($place) ? $place[(int) $step] : $place->{$step};
        }
        unset($place->{$key});

        return $copy;
    }

    /** @return \Generator<string, array{string, mixed}> Verb and a sound question, from the worked cases and the demo bench. */
    public static function questions(int $perVerb): \Generator
    {
        $taken = [];
        foreach (Golden::cases('order', 'movement', 'power', 'plan', 'tune', 'thresholds', 'switch', 'pulse-train', 'latency', 'range', 'bind-ladder', 'failsafe', 'encode') as $name => [$verb, $case]) {
            $isSound = isset($case->in) && ! isset($case->out->error_path) && strlen((string) json_encode($case->in)) < 40_000;
            if ($isSound && ($taken[$verb] = ($taken[$verb] ?? 0) + 1) <= $perVerb) {
                yield $name => [$verb, $case->in];
            }
        }
        yield 'rates' => ['rates', json_decode('{"rate_pct":70,"expo_pct":30,"centre":1500,"us_per_100":512}')];
        yield 'percent' => ['percent', json_decode('{"percent":100,"from_us_per_100":512,"to_us_per_100":400}')];
        yield 'readiness' => ['readiness', (object) ['rig' => DemoRigs::get('avocet')->document]];
    }
}
