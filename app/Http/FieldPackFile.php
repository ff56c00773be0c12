<?php

declare(strict_types=1);

namespace App\Http;

/** The field pack as one file of HTML that needs nothing beside it: style, script and content stand in it. */
final class FieldPackFile
{
    public static function of(\stdClass $content): string
    {
        $part = static fn (string $name): string => (string) file_get_contents(resource_path("field/$name"));

        return strtr($part('pack.html'), [
            '/*style*/' => $part('pack.css'),
            '/*script*/' => $part('pack.js'),
            // Nothing that stands in it can end the element or begin another.
            '"content"' => json_encode($content, JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
            '{{name}}' => htmlspecialchars((string) $content->name, ENT_QUOTES),
        ]);
    }
}
