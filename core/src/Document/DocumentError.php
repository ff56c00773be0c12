<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * Something a user sent cannot be used. Says what was found, what was expected, and where.
 *
 * The path names the place with dots, positions counted from 0 (`channels.2.measured.hi`);
 * it is empty when the whole document is meant. The line, where known, counts from 1.
 */
final class DocumentError extends \RuntimeException
{
    public function __construct(
        public readonly string $errorCode,
        string $message,
        public readonly string $path = '',
        public readonly ?int $sourceLine = null,
    ) {
        parent::__construct($message);
    }

    public static function at(string $path, string $message, string $code = 'invalid'): self
    {
        return new self($code, $message, $path);
    }

    /** The same error for a document that stands inside another one, at the place given. */
    public function inside(string $prefix): self
    {
        $path = $this->path === '' ? $prefix : $prefix.'.'.$this->path;

        return new self($this->errorCode, $this->getMessage(), $path, $this->sourceLine);
    }

    /** The same error for what stands inside a document, below the place given. */
    public function outside(string $prefix): self
    {
        $path = $this->path === $prefix ? '' : (str_starts_with($this->path, "$prefix.") ? substr($this->path, strlen($prefix) + 1) : $this->path);

        return new self($this->errorCode, $this->getMessage(), $path, $this->sourceLine);
    }

    public function onLine(?int $line): self
    {
        return new self($this->errorCode, $this->getMessage(), $this->path, $line);
    }

    /** As every refusal tells it. */
    public function told(): \stdClass
    {
        $line = $this->sourceLine === null ? [] : ['line' => $this->sourceLine];

        return (object) ['error' => (object) (['code' => $this->errorCode, 'message' => $this->getMessage(), 'path' => $this->path] + $line)];
    }
}
