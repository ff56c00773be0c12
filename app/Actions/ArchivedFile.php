<?php

declare(strict_types=1);

namespace App\Actions;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** What an archive's list says of one file: an attachment, or a capture of the desk. */
final readonly class ArchivedFile
{
    private const MOMENT = '/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z$/D';

    private function __construct(public string $file, public string $name, public string $at, public string $rig, public int $position, public bool $isCapture)
    {
    }

    /**
     * @param  bool  $ofRig  Whether it says which rig and entry it belongs to.
     *
     * @throws DocumentError at the key that is missing or of another kind.
     */
    public static function read(\stdClass $entry, bool $ofRig, string $place): self
    {
        $text = static fn (string $key): string => is_string($entry->{$key} ?? null) ? $entry->{$key} : throw DocumentError::at("$place.$key", 'Found '.Excerpt::of($entry->{$key} ?? null).'; expected a text.');
        $at = $text('at');
        if (preg_match(self::MOMENT, $at) !== 1) {
            throw DocumentError::at("$place.at", 'Found '.Excerpt::of($at).'; expected a moment such as 2026-11-28T09:30:00Z.');
        }
        $position = $ofRig ? $entry->position ?? null : 0;
        if (! is_int($position) || $position < 0) {
            throw DocumentError::at("$place.position", 'Found '.Excerpt::of($position).'; expected the position of an entry, from 0.');
        }

        return new self($text('file'), $text('name'), $at, $ofRig ? $text('rig') : '', $position, str_ends_with($text('file'), '.bin'));
    }
}
