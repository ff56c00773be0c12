<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Support\Facades\File;
use Linguator\Core\Document\DocumentError;

/** How far a long reading is, told in a small file that other requests look at; a second file asks it to stop. */
final class DecodeProgress
{
    private const EVERY_BYTES = 1_048_576;

    private int $next = self::EVERY_BYTES;

    private function __construct(private readonly string $path)
    {
    }

    /** Null: nobody wants to know. The token is the page's own and is never used as a name. */
    public static function of(string $token): ?self
    {
        File::ensureDirectoryExists(config()->string('linguator.captures'));

        return $token === '' ? null : new self(config()->string('linguator.captures').'/.progress-'.hash('sha256', $token));
    }

    public function at(int $bytes, int $of): void
    {
        if ($bytes < $this->next) {
            return;
        }
        $this->next = $bytes + self::EVERY_BYTES;
        if (is_file("$this->path-stop")) {
            $this->end();
            throw new DocumentError('cancelled', 'Reading was stopped, as asked.');
        }
        @file_put_contents($this->path, (string) json_encode(['bytes' => $bytes, 'of' => $of]));
    }

    /** @return array{bytes: int, of: int}|null Null: not begun, or done. */
    public function read(): ?array
    {
        $told = json_decode((string) @file_get_contents($this->path), true);

        return is_array($told) && is_int($told['bytes'] ?? null) && is_int($told['of'] ?? null) ? ['bytes' => $told['bytes'], 'of' => $told['of']] : null;
    }

    public function stop(): void
    {
        @touch("$this->path-stop");
    }

    public function end(): void
    {
        @unlink($this->path);
        @unlink("$this->path-stop");
    }
}
