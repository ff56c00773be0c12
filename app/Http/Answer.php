<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Linguator\Core\Document\Json;

/** JSON as documents are printed everywhere: numbers keep their kind, empty objects stay objects. */
final class Answer
{
    public static function json(mixed $value, int $status = 200): JsonResponse
    {
        return JsonResponse::fromJsonString(Json::compact($value), $status);
    }

    /** What is wrong, as every refusal tells it. */
    public static function problem(int $status, string $code, string $sentence, string $path = ''): JsonResponse
    {
        return self::json(['error' => ['code' => $code, 'message' => $sentence, 'path' => $path]], $status);
    }

    /** A file to keep: shown as plain text by a browser, saved under the name given. */
    public static function file(string $text, string $name): Response
    {
        $type = match (pathinfo($name, PATHINFO_EXTENSION)) {
            'json' => 'application/json',
            'html' => 'text/html',
            default => 'application/yaml',
        };

        return new Response($text, 200, [
            'Content-Type' => "$type; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }
}
