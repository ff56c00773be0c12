<?php

declare(strict_types=1);

namespace App\Actions;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;

/** What an archive may hold. Through the page it is bounded as a whole; on the command line only file by file. */
final readonly class ArchiveBounds
{
    public const MOST_NAMES = 2000;

    public const MOST_LISTED = 100_000;

    private const NAMES = '#^(README\.txt|names\.json|logbook\.csv|attachments\.json|captures\.json|shelf/[a-z0-9-]{1,64}\.(yaml|json)|formats/[a-z0-9_-]{1,64}\.yaml|rigs/[a-z0-9-]{1,80}\.(json|yaml)|attachments/[a-z0-9-]{1,120}\.(png|jpg|webp|txt|bin)|captures/[a-z0-9-]{1,40}\.bin)$#D';

    /** What one file may unpack to (bytes). */
    private const LARGEST = 33_554_432;

    private function __construct(public int $mostFiles, private ?int $largestAll)
    {
    }

    public static function page(): self
    {
        return new self(20_000, 536_870_912);
    }

    public static function commandLine(): self
    {
        return new self(500_000, null);
    }

    /**
     * @param  int  $total  Of all files so far.
     *
     * @throws DocumentError
     */
    public function check(string $name, int $size, int $total): void
    {
        if (preg_match(self::NAMES, $name) !== 1) {
            throw DocumentError::at('file', 'The archive holds '.Excerpt::of($name).', which is no part of a bench; nothing was taken from it.', 'foreign_name');
        }
        // The logbook is there to be read by people, and never read back.
        $largest = match (true) {
            str_starts_with($name, 'captures/') => KeepCapture::MAX_BYTES,
            $name === 'logbook.csv' && $this->largestAll === null => PHP_INT_MAX,
            default => self::LARGEST,
        };
        if ($size > $largest || ($this->largestAll !== null && $total > $this->largestAll)) {
            throw DocumentError::at('file', sprintf('"%s" would unpack to %.0f MB; expected at most %d MB for one file%s.', $name, max($size, $this->largestAll === null ? 0 : $total) / 1_048_576, $largest / 1_048_576, $this->largestAll === null ? '' : sprintf(' and %d MB for all; the command linguator:import takes archives of any size', $this->largestAll / 1_048_576)), 'too_large');
        }
    }
}
