<?php

declare(strict_types=1);

namespace App\Actions;

/** What a file really is, told by its first bytes and not by its name: only pictures and plain text are kept. */
final class FileType
{
    /** A capture kept as evidence: never shown, only saved. */
    public const BYTES = 'application/octet-stream';

    private const PICTURES = [
        'image/png' => "\x89PNG\r\n\x1a\n",
        'image/jpeg' => "\xFF\xD8\xFF",
    ];

    /** Null: nothing that is kept. */
    public static function of(string $content): ?string
    {
        foreach (self::PICTURES as $type => $start) {
            if (str_starts_with($content, $start)) {
                return @getimagesizefromstring($content) === false ? null : $type;
            }
        }
        if (str_starts_with($content, 'RIFF') && substr($content, 8, 4) === 'WEBP') {
            return @getimagesizefromstring($content) === false ? null : 'image/webp';
        }
        $isText = $content !== '' && mb_check_encoding($content, 'UTF-8') && preg_match('/[\x00-\x08\x0B\x0E-\x1F]/', $content) !== 1;

        return $isText ? 'text/plain' : null;
    }
}
