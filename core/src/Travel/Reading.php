<?php

declare(strict_types=1);

namespace Linguator\Core\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Pulse;

/** What a channel sends at its lowest, at rest and at its highest, µs; always lo < mid < hi. */
final readonly class Reading
{
    private function __construct(public float $lo, public float $mid, public float $hi)
    {
    }

    /** @throws DocumentError at `mid` or `hi` below the path given, unless lo < mid < hi. */
    public static function of(float $lo, float $mid, float $hi, string $path = ''): self
    {
        $at = static fn (string $key): string => ltrim("$path.$key", '.');
        if ($mid <= $lo) {
            throw DocumentError::at($at('mid'), "Found $mid µs in the middle and $lo µs at the low end; expected the middle above the low end.", 'upside_down');
        }
        if ($hi <= $mid) {
            throw DocumentError::at($at('hi'), "Found $hi µs at the high end and $mid µs in the middle; expected the high end above the middle.", 'upside_down');
        }

        return new self($lo, $mid, $hi);
    }

    /**
     * One whose values fall where the stick rises, put in order.
     *
     * @throws DocumentError at `mid` or `hi`, unless lo > mid > hi.
     */
    public static function falling(float $lo, float $mid, float $hi): self
    {
        if ($mid >= $lo) {
            throw DocumentError::at('mid', "Found $mid µs in the middle and $lo µs at the low end; expected them to fall, as of a reversed stick.", 'upside_down');
        }
        if ($hi >= $mid) {
            throw DocumentError::at('hi', "Found $hi µs at the high end and $mid µs in the middle; expected them to fall, as of a reversed stick.", 'upside_down');
        }

        return new self($hi, $mid, $lo);
    }

    /** What a channel usually sends. */
    public static function usual(): self
    {
        return new self(Pulse::LOW_US, Pulse::CENTRE_US, Pulse::HIGH_US);
    }

    /** @throws DocumentError */
    public static function fromNode(Node $node, string $path): self
    {
        return self::of($node->number('lo'), $node->number('mid'), $node->number('hi'), $path);
    }

    /** What a solver predicts; may be out of order when limits bite. */
    public static function predicted(float $lo, float $mid, float $hi): self
    {
        return new self($lo, $mid, $hi);
    }

    /** What a control in between makes of it, µs: −1 at the lowest, 0 at rest, 1 at the highest. */
    public function at(float $share): float
    {
        return $this->mid + $share * ($share < 0 ? $this->mid - $this->lo : $this->hi - $this->mid);
    }

    /** @return list<float> Lowest, middle, highest. */
    public function values(): array
    {
        return [$this->lo, $this->mid, $this->hi];
    }

    /** The largest distance between the two, of the three values (µs). */
    public function distanceTo(self $that): float
    {
        return max(abs($this->lo - $that->lo), abs($this->mid - $that->mid), abs($this->hi - $that->hi));
    }
}
