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

/** An archive of a bench, opened and looked through: its names, sizes and lists are sound. Files are read one at a time, when they are asked for. */
final class BenchArchive
{
    /** @var list<ArchivedFile>|null */
    private ?array $attachments = null;

    /** @param  array<string, int>  $sizes  What each file unpacks to (bytes), by name. */
    private function __construct(private readonly \ZipArchive $zip, private readonly array $sizes, private readonly CardReader $cards, private readonly RigReader $rigs)
    {
    }

    /** @throws DocumentError if it is no archive of a bench, holds foreign names, or would unpack to too much. */
    public static function open(string $file, ArchiveBounds $bounds, CardReader $cards, RigReader $rigs): self
    {
        $zip = new \ZipArchive;
        if (! is_file($file) || filesize($file) === 0 || $zip->open($file, \ZipArchive::RDONLY) !== true) {
            throw DocumentError::at('file', 'This is not a whole zip archive; expected one that Linguator has exported.', 'not_an_archive');
        }
        if ($zip->numFiles > $bounds->mostFiles) {
            throw DocumentError::at('file', "Found $zip->numFiles files; expected at most $bounds->mostFiles.", 'too_many');
        }
        [$sizes, $total] = [[], 0];
        for ($k = 0; $k < $zip->numFiles; $k++) {
            $stat = $zip->statIndex($k);
            $name = $stat === false ? '' : (string) $stat['name'];
            if (isset($sizes[$name])) {
                throw DocumentError::at('file', 'The archive holds '.Excerpt::of($name).' twice; nothing was taken from it.', 'twice');
            }
            $sizes[$name] = $stat === false ? 0 : (int) $stat['size'];
            $total += $sizes[$name];
            $bounds->check($name, $sizes[$name], $total);
        }

        return new self($zip, $sizes, $cards, $rigs);
    }

    /** @return \Generator<int, GearCard> */
    public function cards(): \Generator
    {
        foreach ($this->named('shelf/') as $name) {
            yield from $this->inside($name, fn (): array => $this->cards->fromText($this->text($name)));
        }
    }

    /** @return \Generator<int, string> Texts of format cards. */
    public function formats(): \Generator
    {
        foreach ($this->named('formats/') as $name) {
            yield $this->text($name);
        }
    }

    /** @return \Generator<string, RigDocument> By the address each had on its bench. */
    public function rigs(): \Generator
    {
        foreach ($this->named('rigs/') as $name) {
            yield pathinfo($name, PATHINFO_FILENAME) => $this->inside($name, fn (): RigDocument => $this->rigs->fromText($this->text($name)));
        }
    }

    /** @return int How many rigs, cards, files and captures: what a long work is counted by. */
    public function size(): int
    {
        return count($this->named('rigs/')) + count($this->attachments()) + count($this->captures());
    }

    /** @return list<\stdClass> What the user's manuals call things: kind, target and alias, each a text. */
    public function names(): array
    {
        $names = $this->list('names.json', ArchiveBounds::MOST_NAMES);
        foreach ($names as $k => $name) {
            foreach (['kind', 'target', 'alias'] as $key) {
                if (! is_string($name->{$key} ?? null)) {
                    throw DocumentError::at("names.$k.$key", 'Found '.Excerpt::of($name->{$key} ?? null).'; expected a text.');
                }
            }
        }

        return $names;
    }

    /** @return list<ArchivedFile> Files kept with entries of rigs. */
    public function attachments(): array
    {
        return $this->attachments ??= $this->files('attachments', true);
    }

    /** @return list<ArchivedFile> Captures of the desk. */
    public function captures(): array
    {
        return $this->files('captures', false);
    }

    /**
     * The content of a file, read no further than was announced.
     *
     * @throws DocumentError if it cannot be read whole.
     */
    public function text(string $name): string
    {
        $stream = $this->stream($name);
        $size = $this->sizes[$name];
        $text = @stream_get_contents($stream, $size + 1);
        if ($text === false || strlen($text) !== $size) {
            throw self::damaged($name);
        }

        return $text;
    }

    /**
     * What a file's content is known by.
     *
     * @throws DocumentError if it cannot be read whole.
     */
    public function sha256(string $name): string
    {
        $hash = hash_init('sha256');
        if (@hash_update_stream($hash, $this->stream($name)) !== $this->sizes[$name]) {
            throw self::damaged($name);
        }

        return hash_final($hash);
    }

    /** @return resource */
    public function stream(string $name): mixed
    {
        $stream = isset($this->sizes[$name]) ? @$this->zip->getStream($name) : false;

        return $stream === false ? throw self::damaged($name) : $stream;
    }

    /** @return list<ArchivedFile> */
    private function files(string $what, bool $ofRigs): array
    {
        $files = [];
        foreach ($this->list("$what.json", ArchiveBounds::MOST_LISTED) as $k => $entry) {
            $file = ArchivedFile::read($entry, $ofRigs, "$what.$k");
            if (! isset($this->sizes[$file->file]) || ! str_starts_with($file->file, "$what/")) {
                throw DocumentError::at("$what.$k", 'This entry names no file that is in the archive.', 'missing_file');
            }
            if (isset($files[$file->file])) {
                throw DocumentError::at("$what.$k.file", 'Found '.Excerpt::of($file->file).' a second time; expected each file once.', 'twice');
            }
            $files[$file->file] = $file;
        }

        return array_values($files);
    }

    /** @return list<\stdClass> */
    private function list(string $file, int $most): array
    {
        $value = isset($this->sizes[$file]) ? $this->inside($file, fn (): mixed => Json::decode($this->text($file))) : [];
        if (! is_array($value)) {
            throw DocumentError::at('file', "$file: found ".Excerpt::of($value).'; expected a list.');
        }
        if (count($value) > $most) {
            throw DocumentError::at('file', "$file: found ".count($value)." entries; expected at most $most.", 'too_many');
        }

        return array_map(static fn (mixed $entry): \stdClass => $entry instanceof \stdClass ? $entry : throw DocumentError::at('file', "$file: found ".Excerpt::of($entry).'; expected objects only.'), array_values($value));
    }

    /** @return list<string> */
    private function named(string $folder): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($this->sizes)), static fn (string $name): bool => str_starts_with($name, $folder)));
    }

    /**
     * What is wrong with a file, told with its name.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private function inside(string $name, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (DocumentError $error) {
            throw new DocumentError($error->errorCode, "$name: {$error->getMessage()}", $error->path, $error->sourceLine);
        }
    }

    private static function damaged(string $name): DocumentError
    {
        return DocumentError::at('file', Excerpt::of($name).' in the archive cannot be read whole.', 'damaged');
    }
}
