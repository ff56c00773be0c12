<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** What one channel is, by the move that was found on it, and what it sends. */
final readonly class ChannelRead implements \JsonSerializable
{
    private function __construct(
        public int $channel,
        public ChannelKind $kind,
        public ?Move $move,
        private ?Way $way,
        public ?float $mid,
        public float $noiseUs,
    ) {
    }

    /** Nothing was found on it. */
    public static function without(Line $line, Rests $rests): self
    {
        return new self($line->channel, $line->isStill() ? ChannelKind::Still : ChannelKind::Unclear, null, null, $line->values === [] ? null : $rests->middle($line), $rests->noise($line));
    }

    public static function of(Line $line, Rests $rests, Move $move, Way $way): self
    {
        [$kind, $mid] = match ($move->kind) {
            MoveKind::Switch => [ChannelKind::Switch, null],
            MoveKind::Knob => [ChannelKind::Knob, $way->end->us],
            default => [ChannelKind::Stick, $move->isThrottle() ? null : $rests->home($way)],
        };

        return new self($line->channel, $kind, $move, $way, $mid, $rests->noise($line));
    }

    /** Lowest end; null: it was not moved. */
    public function low(): ?WayEnd
    {
        $levels = $this->levels();

        return $levels === null || $levels === [] ? $this->way?->low() : new WayEnd(min($levels), true);
    }

    public function high(): ?WayEnd
    {
        $levels = $this->levels();

        return $levels === null || $levels === [] ? $this->way?->high() : new WayEnd(max($levels), true);
    }

    /** @return list<float>|null µs by position; null: it is no switch. */
    public function levels(): ?array
    {
        return $this->kind === ChannelKind::Switch ? $this->way?->levels() : null;
    }

    /** Whether the first way of a stick led to its low end; null: it is no stick. */
    public function isReversed(): ?bool
    {
        return $this->kind === ChannelKind::Stick ? $this->way?->isReversed() : null;
    }

    public function jsonSerialize(): \stdClass
    {
        [$low, $high] = [$this->low(), $this->high()];
        $hasEnds = $this->kind === ChannelKind::Stick || $this->kind === ChannelKind::Knob;

        return (object) (array_filter([
            'channel' => $this->channel,
            'kind' => $this->kind->value,
            'letter' => $this->move?->letter?->value,
            'id' => $this->move?->id,
            'levels' => $this->levels() === null ? null : self::rounded(...$this->levels()),
            'held' => $hasEnds && $low !== null && $high !== null ? (object) ['lo' => $low->isHeld, 'hi' => $high->isHeld] : null,
        ], static fn (mixed $value): bool => $value !== null) + [
            'lo' => self::tenths($low?->us),
            'mid' => self::tenths($this->mid),
            'hi' => self::tenths($high?->us),
            'reversed' => $this->isReversed(),
            'noise_us' => round($this->noiseUs, 2),
        ]);
    }

    private static function tenths(?float $us): ?float
    {
        return $us === null ? null : round($us, 1);
    }

    /** @return list<float> */
    private static function rounded(float ...$us): array
    {
        return array_map(static fn (float $one): float => round($one, 1), array_values($us));
    }
}
