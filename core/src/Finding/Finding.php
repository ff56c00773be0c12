<?php

declare(strict_types=1);

namespace Linguator\Core\Finding;

/**
 * Something a rule has found: its code (`M3`, `P1` …), how much it matters, and a sentence that begins with what is wrong.
 *
 * `found` and `expected` carry the numbers, `why` the consequence, `change` what mends it; `from` and `to` name the boxes.
 */
final readonly class Finding implements \JsonSerializable
{
    public function __construct(
        public Code $code,
        public Severity $severity,
        public string $message,
        public ?string $found = null,
        public ?string $expected = null,
        public ?string $why = null,
        public ?string $change = null,
        public ?string $from = null,
        public ?string $to = null,
    ) {
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) array_filter([
            'code' => $this->code->value,
            'severity' => $this->severity->value,
            'message' => $this->message,
            'found' => $this->found,
            'expected' => $this->expected,
            'why' => $this->why,
            'change' => $this->change,
            'from' => $this->from,
            'to' => $this->to,
        ], static fn (?string $value): bool => $value !== null);
    }
}
