<?php

declare(strict_types=1);

namespace Linguator\Core\Capture;

use Linguator\Core\Document\DocumentError;

/** A capture to be read from its begin, more than once if need be, in chunks. */
final class Source
{
    private const CHUNK_BYTES = 65_536;

    /**
     * @param  resource  $stream  Can be rewound.
     * @param  (\Closure(int): void)|null  $onProgress  Told how many bytes have been read; may throw to stop.
     */
    public function __construct(private readonly mixed $stream, private readonly ?\Closure $onProgress = null)
    {
    }

    public static function ofText(string $bytes): self
    {
        $stream = fopen('php://memory', 'w+b');
        assert($stream !== false);
        fwrite($stream, $bytes);

        return new self($stream);
    }

    public function size(): int
    {
        return (int) (fstat($this->stream)['size'] ?? 0);
    }

    /** @return string The first bytes, as many as there are. */
    public function head(int $bytes): string
    {
        rewind($this->stream);

        return (string) fread($this->stream, max(1, $bytes));
    }

    /**
     * @param  int  $from  Bytes to leave out at the begin.
     * @return \Generator<int, string>
     */
    public function chunks(int $from = 0): \Generator
    {
        $position = $from;
        while (true) {
            // Somebody else may have moved the stream since the last chunk.
            if (fseek($this->stream, $position) !== 0) {
                throw new DocumentError('unreadable', 'The capture cannot be read again from its begin.');
            }
            $chunk = fread($this->stream, self::CHUNK_BYTES);
            if ($chunk === false || $chunk === '') {
                return;
            }
            $position += strlen($chunk);
            if ($this->onProgress !== null) {
                ($this->onProgress)($position);
            }
            yield $chunk;
        }
    }
}
