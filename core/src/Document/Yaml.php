<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml as SymfonyYaml;

/** YAML in and out, for documents people write by hand. Anchors and aliases are refused, so nothing can refer to itself. */
final class Yaml
{
    /** YAML longer than this is refused before it is parsed (bytes). */
    public const MAX_BYTES = 2_097_152;

    private const MAX_INDENT = 128;

    /**
     * The documents in a text, parted by lines of three dashes, each with the line it starts on (from 1).
     *
     * @return list<array{value: mixed, text: string, line: int}>
     *
     * @throws DocumentError if the text is too long, too deep, not sound YAML, or uses anchors or aliases.
     */
    public static function decodeAll(string $text): array
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new DocumentError('too_large', sprintf('Found %.1f MB of YAML; expected at most %d MB in one file.', strlen($text) / 1_048_576, self::MAX_BYTES / 1_048_576));
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new DocumentError('not_yaml', 'Found bytes that are not UTF-8 text; expected YAML or JSON text.');
        }
        $text = str_replace(["\r\n", "\r"], "\n", str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text);
        $documents = [];
        $line = 1;
        foreach (preg_split('/^---[ \t]*(?:#.*)?$/m', $text) ?: [] as $part) {
            if (trim((string) preg_replace('/^\s*#.*$/m', '', $part)) !== '') {
                $documents[] = ['value' => self::decode($part, $line), 'text' => $part, 'line' => $line];
            }
            $line += substr_count($part, "\n");
        }

        return $documents;
    }

    /** Block-style text with a closing newline; what is read back has the same values and kinds of number. */
    public static function dump(mixed $value): string
    {
        $before = ini_set('precision', '-1');
        try {
            return SymfonyYaml::dump($value, 6, 2, SymfonyYaml::DUMP_OBJECT_AS_MAP | SymfonyYaml::DUMP_EMPTY_ARRAY_AS_SEQUENCE | SymfonyYaml::DUMP_MULTI_LINE_LITERAL_BLOCK);
        } finally {
            ini_set('precision', (string) $before);
        }
    }

    private static function decode(string $text, int $firstLine): mixed
    {
        self::refuseDepth($text, $firstLine);
        self::refuseAliases($text, $firstLine);
        try {
            $value = SymfonyYaml::parse($text, SymfonyYaml::PARSE_OBJECT_FOR_MAP | SymfonyYaml::PARSE_DATETIME | SymfonyYaml::PARSE_EXCEPTION_ON_INVALID_TYPE);
        } catch (ParseException $error) {
            $line = $error->getParsedLine() > 0 ? $error->getParsedLine() + $firstLine - 1 : null;
            $error->setParsedLine(-1);
            throw new DocumentError('not_yaml', 'This is not sound YAML: '.Excerpt::text($error->getMessage()).($line === null ? '' : " (line $line)"), '', $line);
        }
        self::refuseForeign($value, '');

        return self::plain($value);
    }

    private static function refuseDepth(string $text, int $firstLine): void
    {
        $depth = 0;
        foreach (explode("\n", $text) as $number => $line) {
            $depth += strlen((string) preg_replace('/[^\[{]/', '', $line)) - strlen((string) preg_replace('/[^\]}]/', '', $line));
            $inLine = strlen((string) preg_replace('/[^\[{]/', '', $line));
            if ($depth > Json::MAX_DEPTH || ($inLine > 4000) || strspn($line, ' -?') > self::MAX_INDENT || self::nesting($line) > Json::MAX_DEPTH) {
                throw new DocumentError('too_deep', sprintf('Line %d is nested more than %d levels deep.', $number + $firstLine, Json::MAX_DEPTH), '', $number + $firstLine);
            }
        }
    }

    private static function nesting(string $line): int
    {
        $deepest = $depth = 0;
        foreach (str_split((string) preg_replace('/[^\[\]{}]/', '', $line)) as $bracket) {
            $depth += $bracket === '[' || $bracket === '{' ? 1 : -1;
            $deepest = max($deepest, $depth);
        }

        return $deepest;
    }

    private static function refuseAliases(string $text, int $firstLine): void
    {
        foreach (explode("\n", $text) as $number => $line) {
            $bare = preg_replace(['/"(?:[^"\\\\]|\\\\.)*"/', "/'(?:[^']|'')*'/", '/(^|\s)#.*$/'], ['""', "''", ''], $line) ?? '';
            $inBlock = preg_match('/^\s*(?:- +)*(?:[^\s:#][^:#]*: +)?([&*][A-Za-z0-9_-]+)/', $bare, $match) === 1;
            $inFlow = ! $inBlock && preg_match('/[\[{].*?(?:[\[{,]|: )\s*([&*][A-Za-z0-9_-]+)|[\[{]\s*([&*][A-Za-z0-9_-]+)/', $bare, $match) === 1;
            if ($inBlock || $inFlow) {
                $name = end($match);
                throw new DocumentError('yaml_alias', sprintf('Found the YAML reference "%s" on line %d; write the value out instead, or put it in quotes if it is meant as text.', Excerpt::text((string) $name), $number + $firstLine), '', $number + $firstLine);
            }
        }
    }

    private static function refuseForeign(mixed $value, string $path): void
    {
        if (is_float($value) && ! is_finite($value)) {
            throw DocumentError::at($path, 'Found a number that is not finite; expected an ordinary number.', 'not_finite');
        }
        if (is_array($value) || $value instanceof \stdClass) {
            foreach ((array) $value as $key => $item) {
                self::refuseForeign($item, $path === '' ? (string) $key : $path.'.'.$key);
            }
        }
    }

    /** Dates written without quotes become the text they were. */
    private static function plain(mixed $value): mixed
    {
        if ($value instanceof \DateTimeInterface) {
            return \DateTimeImmutable::createFromInterface($value)->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z');
        }
        if (is_array($value)) {
            return array_map(self::plain(...), $value);
        }
        if ($value instanceof \stdClass) {
            foreach (get_object_vars($value) as $key => $item) {
                $value->{$key} = self::plain($item);
            }
        }

        return $value;
    }
}
