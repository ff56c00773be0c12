<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Document\Node;
use Linguator\Core\Finding\Code;

/** What a device can be powered with (V); null: not known. */
final readonly class SupplyRange
{
    /** Voltages are compared with this tolerance (V). */
    public const TOLERANCE = 0.001;

    public function __construct(public ?float $min, public ?float $max, public ?float $ma = null)
    {
    }

    public static function fromNode(?Node $supply): self
    {
        return $supply === null
            ? new self(null, null)
            : new self($supply->numberOrNull('min_v'), $supply->numberOrNull('max_v'), $supply->numberOrNull('ma'));
    }

    public function isKnown(): bool
    {
        return $this->min !== null || $this->max !== null;
    }

    /** P1 when the supply can be too high, P2 when it can be too low; P1 goes before P2; null when it fits. */
    public function fault(Supply $supply): ?Code
    {
        return match (true) {
            $this->max !== null && $supply->full > $this->max + self::TOLERANCE => Code::P1,
            $this->min !== null && $supply->low < $this->min - self::TOLERANCE => Code::P2,
            default => null,
        };
    }

    public function label(): string
    {
        return match (true) {
            $this->min !== null && $this->max !== null => "{$this->min}–{$this->max} V",
            $this->max !== null => "up to $this->max V",
            $this->min !== null => "from $this->min V",
            default => 'not known',
        };
    }
}
