<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;

/** What a servo survives (rule T1), µs; null: not known. */
final readonly class ServoRange
{
    public function __construct(public ?float $lo, public ?float $hi)
    {
    }

    /** What two servos on one channel survive together. */
    public function and(self $that): self
    {
        $lows = array_filter([$this->lo, $that->lo], static fn (?float $us): bool => $us !== null);
        $highs = array_filter([$this->hi, $that->hi], static fn (?float $us): bool => $us !== null);

        return new self($lows === [] ? null : max($lows), $highs === [] ? null : min($highs));
    }

    public function isKnown(): bool
    {
        return $this->lo !== null || $this->hi !== null;
    }

    /** The same target, no further out than the servo stands; null: its middle lies outside. */
    public function within(Reading $target): ?Reading
    {
        [$lo, $hi] = [max($target->lo, $this->lo ?? $target->lo), min($target->hi, $this->hi ?? $target->hi)];

        return $lo < $target->mid && $target->mid < $hi ? Reading::of($lo, $target->mid, $hi) : null;
    }

    /**
     * @param  string  $verb  How sure it is: "is", "would be".
     * @param  string  $change  What brings the ends inside.
     */
    public function judge(string $name, Reading $ends, string $verb = 'is', string $change = 'Bring the ends inside before the link is powered again.'): ?Finding
    {
        $below = $this->lo === null ? 0.0 : $this->lo - $ends->lo;
        $above = $this->hi === null ? 0.0 : $ends->hi - $this->hi;
        $most = max($below, $above);
        if ($most <= 0.5) {
            return null;
        }

        return new Finding(Code::T1, Severity::Stop,
            sprintf('The %s servo %s driven %.0f µs too far.', $name, $verb, $most),
            found: sprintf('%.0f to %.0f µs', $ends->lo, $ends->hi),
            expected: sprintf('%s to %s µs', $this->lo === null ? 'any' : sprintf('%.0f', $this->lo), $this->hi === null ? 'any' : sprintf('%.0f', $this->hi)),
            why: 'It grinds against its stop and strips its gears.', change: $change);
    }
}
