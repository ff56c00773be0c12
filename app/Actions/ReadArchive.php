<?php

declare(strict_types=1);

namespace App\Actions;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;

/** Reads an archive, whole or not at all. Nothing is unpacked to disk, and no name in it is used as a path. */
final readonly class ReadArchive
{
    private const MOST_FILES = 20_000;

    /** What one file, and all of them together, may unpack to (bytes). */
    private const LARGEST_FILE = 33_554_432;

    private const LARGEST_ALL = 536_870_912;

    private const NAMES = '#^(README\.txt|names\.json|logbook\.csv|attachments\.json|shelf/[a-z0-9-]{1,64}\.(yaml|json)|formats/[a-z0-9_-]{1,64}\.yaml|rigs/[a-z0-9-]{1,80}\.(json|yaml)|attachments/[a-z0-9-]{1,40}\.(png|jpg|webp|txt|bin))$#';

    public function __construct(private CardReader $cards, private RigReader $rigs)
    {
    }

    /**
     * @return array{cards: list<GearCard>, formats: list<string>, rigs: array<string, RigDocument>, names: list<\stdClass>, attachments: list<array{rig: string, position: int, name: string, at: string, content: string, is_capture: bool}>}
     *
     * @throws DocumentError if it is no archive of a bench, holds foreign names, or would unpack to too much.
     */
    public function __invoke(string $file): array
    {
        $zip = new \ZipArchive;
        if (! is_file($file) || filesize($file) === 0 || $zip->open($file, \ZipArchive::RDONLY) !== true) {
            throw DocumentError::at('file', 'This is not a whole zip archive; expected one that Linguator has exported.', 'not_an_archive');
        }
        try {
            return $this->contents($zip, $this->names($zip));
        } finally {
            $zip->close();
        }
    }

    /** @return list<string> The files in it, all of them checked. */
    private function names(\ZipArchive $zip): array
    {
        if ($zip->numFiles > self::MOST_FILES) {
            throw DocumentError::at('file', "Found $zip->numFiles files; expected at most ".self::MOST_FILES.'.', 'too_many');
        }
        $names = [];
        $total = 0;
        for ($k = 0; $k < $zip->numFiles; $k++) {
            $stat = $zip->statIndex($k);
            $name = $stat === false ? '' : (string) $stat['name'];
            if (preg_match(self::NAMES, $name) !== 1) {
                throw DocumentError::at('file', 'The archive holds '.Excerpt::of($name).', which is no part of a bench; nothing was taken from it.', 'foreign_name');
            }
            $size = $stat === false ? 0 : (int) $stat['size'];
            $total += $size;
            if ($size > self::LARGEST_FILE || $total > self::LARGEST_ALL) {
                throw DocumentError::at('file', sprintf('"%s" would unpack to %.0f MB; expected at most %d MB for one file and %d MB for all.', $name, max($size, $total) / 1_048_576, self::LARGEST_FILE / 1_048_576, self::LARGEST_ALL / 1_048_576), 'too_large');
            }
            $names[] = $name;
        }

        return $names;
    }

    /**
     * @param  list<string>  $names
     * @return array{cards: list<GearCard>, formats: list<string>, rigs: array<string, RigDocument>, names: list<\stdClass>, attachments: list<array{rig: string, position: int, name: string, at: string, content: string, is_capture: bool}>}
     */
    private function contents(\ZipArchive $zip, array $names): array
    {
        $cards = [];
        $formats = [];
        $rigs = [];
        foreach ($names as $name) {
            try {
                if (str_starts_with($name, 'shelf/')) {
                    array_push($cards, ...$this->cards->fromText($this->text($zip, $name)));
                } elseif (str_starts_with($name, 'formats/')) {
                    $formats[] = $this->text($zip, $name);
                } elseif (str_starts_with($name, 'rigs/')) {
                    $rigs[pathinfo($name, PATHINFO_FILENAME)] = $this->rigs->fromText($this->text($zip, $name));
                }
            } catch (DocumentError $error) {
                throw new DocumentError($error->errorCode, "$name: {$error->getMessage()}", $error->path, $error->sourceLine);
            }
        }

        return ['cards' => $cards, 'formats' => $formats, 'rigs' => $rigs, 'names' => $this->list($zip, $names, 'names.json'), 'attachments' => $this->attachments($zip, $names)];
    }

    /**
     * @param  list<string>  $names
     * @return list<array{rig: string, position: int, name: string, at: string, content: string, is_capture: bool}>
     */
    private function attachments(\ZipArchive $zip, array $names): array
    {
        $attachments = [];
        foreach ($this->list($zip, $names, 'attachments.json') as $k => $entry) {
            [$file, $rig, $position, $name, $at] = [$entry->file ?? null, $entry->rig ?? null, $entry->position ?? null, $entry->name ?? null, $entry->at ?? null];
            if (! is_string($file) || ! in_array($file, $names, true) || ! is_string($rig) || ! is_int($position) || ! is_string($name) || ! is_string($at)) {
                throw DocumentError::at("attachments.$k", 'This attachment names no file that is in the archive.', 'missing_file');
            }
            $attachments[] = ['rig' => $rig, 'position' => $position, 'name' => $name, 'at' => $at, 'content' => $this->text($zip, $file), 'is_capture' => str_ends_with($file, '.bin')];
        }

        return $attachments;
    }

    /**
     * @param  list<string>  $names
     * @return list<\stdClass>
     */
    private function list(\ZipArchive $zip, array $names, string $file): array
    {
        $value = in_array($file, $names, true) ? Json::decode($this->text($zip, $file)) : [];

        return array_values(array_filter(is_array($value) ? $value : [], static fn (mixed $entry): bool => $entry instanceof \stdClass));
    }

    /** Reads no more than was announced, whatever the archive then gives. */
    private function text(\ZipArchive $zip, string $name): string
    {
        $stream = $zip->getStream($name);
        $text = $stream === false ? false : stream_get_contents($stream, self::LARGEST_FILE + 1);
        if ($text === false || strlen($text) > self::LARGEST_FILE) {
            throw DocumentError::at('file', "\"$name\" in the archive cannot be read whole.", 'damaged');
        }

        return $text;
    }
}
