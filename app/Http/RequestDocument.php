<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;

/** The JSON object a screen sends, read with an error at the key where something is missing or of the wrong kind. */
final readonly class RequestDocument
{
    private function __construct(private \stdClass $document)
    {
    }

    /** @throws DocumentError */
    public static function of(Request $request): self
    {
        $document = Json::decode($request->getContent());

        return new self($document instanceof \stdClass ? $document : throw DocumentError::at('', 'Found '.Excerpt::of($document).'; expected one JSON object.', 'not_an_object'));
    }

    public function whole(): \stdClass
    {
        return $this->document;
    }

    public function get(string $key): mixed
    {
        return $this->document->{$key} ?? throw DocumentError::at($key, "The key \"$key\" is missing.", 'missing_key');
    }

    public function text(string $key, ?string $default = null): string
    {
        $value = $this->document->{$key} ?? $default ?? $this->get($key);

        return is_string($value) ? $value : throw self::wrong($key, $value, 'text');
    }

    /** @throws DocumentError if it is longer than so many characters. */
    public function shortTextOrNull(string $key, int $most): ?string
    {
        $text = isset($this->document->{$key}) ? $this->text($key) : null;

        return $text === null || mb_strlen($text) <= $most ? $text : throw DocumentError::at($key, 'Found '.mb_strlen($text)." characters; expected at most $most.", 'too_long');
    }

    public function int(string $key): int
    {
        $value = $this->get($key);

        return is_int($value) ? $value : throw self::wrong($key, $value, 'a whole number');
    }

    public function intOrNull(string $key): ?int
    {
        return isset($this->document->{$key}) ? $this->int($key) : null;
    }

    public function number(string $key): float
    {
        return $this->numberOrNull($key) ?? throw DocumentError::at($key, "The key \"$key\" is missing.", 'missing_key');
    }

    public function numberOrNull(string $key): ?float
    {
        $value = $this->document->{$key} ?? null;

        return $value === null ? null : (is_int($value) || is_float($value) ? (float) $value : throw self::wrong($key, $value, 'a number'));
    }

    /** @return list<int> */
    public function integers(string $key): array
    {
        return array_map(
            static fn (mixed $item): int => is_int($item) ? $item : throw self::wrong($key, $item, 'a list of whole numbers'),
            $this->items($key),
        );
    }

    public function flag(string $key): bool
    {
        $value = $this->document->{$key} ?? false;

        return is_bool($value) ? $value : throw self::wrong($key, $value, 'true or false');
    }

    /** @return array<string, mixed> */
    public function map(string $key): array
    {
        $value = $this->document->{$key} ?? new \stdClass;

        return $value instanceof \stdClass ? get_object_vars($value) : throw self::wrong($key, $value, 'an object');
    }

    /** @return list<mixed> */
    public function items(string $key): array
    {
        $value = $this->document->{$key} ?? [];

        return is_array($value) ? array_values($value) : throw self::wrong($key, $value, 'a list');
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_map(
            static fn (mixed $item): string => is_string($item) ? $item : throw self::wrong($key, $item, 'a list of texts'),
            $this->items($key),
        );
    }

    public function has(string $key): bool
    {
        return property_exists($this->document, $key);
    }

    private static function wrong(string $key, mixed $found, string $expected): DocumentError
    {
        return DocumentError::at($key, 'Found '.Excerpt::of($found)."; expected $expected.");
    }
}
