<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Rig\RigDocument;

/** How a rig really is: as its record says, and whatever differs from it. */
final readonly class World
{
    /**
     * @param  RigDocument  $planned  As its record says: the plugs sit where its functions arrive.
     * @param  RigDocument  $rig  As it is set up in truth.
     * @param  list<Oddity>  $oddities
     * @param  array<string, int>  $concerned  The channel of the handset that an oddity concerns, by its name.
     * @param  array<string, Feed>  $feeds  By id of a box; where none stands, all is well.
     * @param  array<int, list<LinkTrouble>>  $troubles  By hop, from 1: each must be mended before the ends hear each other.
     * @param  int|null  $droppedChannel  One that the last link keeps for itself, as its receiver counts.
     * @param  float  $trimUs  How far the trim is off.
     */
    private function __construct(
        public RigDocument $planned,
        public RigDocument $rig,
        private array $oddities = [],
        private array $concerned = [],
        private array $feeds = [],
        private array $troubles = [],
        public ?int $droppedChannel = null,
        public float $trimUs = 0.0,
    ) {
    }

    public static function of(RigDocument $rig): self
    {
        return new self($rig, $rig);
    }

    public function isAsPlanned(): bool
    {
        return $this->rig === $this->planned && $this->oddities === [] && $this->feeds === [] && $this->troubles === [] && $this->droppedChannel === null;
    }

    public function has(Oddity $oddity): bool
    {
        return in_array($oddity, $this->oddities, true);
    }

    public function feed(string $box): Feed
    {
        return $this->feeds[$box] ?? Feed::Ok;
    }

    /** Whether an oddity is there, and concerns this channel of the handset. */
    public function hasOn(Oddity $oddity, int $channel): bool
    {
        return $this->has($oddity) && $this->concerned($oddity) === $channel;
    }

    /** The channel of the handset that an oddity concerns; null: none, or it is not there. */
    public function concerned(Oddity $oddity): ?int
    {
        return $this->concerned[$oddity->name] ?? null;
    }

    /**
     * @param  int  $hop  From 1.
     * @return list<LinkTrouble>
     */
    public function troubles(int $hop): array
    {
        return $this->troubles[$hop] ?? [];
    }

    /** Whether any of these keeps the ends of some link apart. */
    public function isPartedBy(LinkTrouble ...$any): bool
    {
        return array_filter($this->allTroubles(), static fn (LinkTrouble $trouble): bool => in_array($trouble, $any, true)) !== [];
    }

    /** Whether something keeps them apart beside these. */
    public function isPartedBut(LinkTrouble ...$cured): bool
    {
        return array_filter($this->allTroubles(), static fn (LinkTrouble $trouble): bool => ! in_array($trouble, $cured, true)) !== [];
    }

    /** @return list<LinkTrouble> Of all hops. */
    private function allTroubles(): array
    {
        return array_merge(...array_values($this->troubles));
    }

    public function with(Oddity $oddity, ?int $channel = null): self
    {
        return $this->but(oddities: [...$this->oddities, $oddity], concerned: ($channel === null ? [] : [$oddity->name => $channel]) + $this->concerned);
    }

    /** Of two that were told, the worse counts. */
    public function fed(string $box, Feed $feed): self
    {
        return $this->but(feeds: [$box => $this->feed($box) === Feed::None ? Feed::None : $feed] + $this->feeds);
    }

    public function parted(int $hop, LinkTrouble $trouble): self
    {
        return $this->but(troubles: [$hop => [...$this->troubles($hop), $trouble]] + $this->troubles);
    }

    public function dropping(int $channel): self
    {
        return $this->but(droppedChannel: $channel);
    }

    public function trimmed(float $us, int $channel): self
    {
        return $this->with(Oddity::TrimOff, $channel)->but(trimUs: $us);
    }

    public function setUp(RigDocument $rig): self
    {
        return $this->but(rig: $rig);
    }

    /**
     * @param  list<Oddity>|null  $oddities
     * @param  array<string, int>|null  $concerned
     * @param  array<string, Feed>|null  $feeds
     * @param  array<int, list<LinkTrouble>>|null  $troubles
     */
    private function but(?RigDocument $rig = null, ?array $oddities = null, ?array $concerned = null, ?array $feeds = null, ?array $troubles = null, ?int $droppedChannel = null, ?float $trimUs = null): self
    {
        return new self(
            $this->planned,
            $rig ?? $this->rig,
            $oddities ?? $this->oddities,
            $concerned ?? $this->concerned,
            $feeds ?? $this->feeds,
            $troubles ?? $this->troubles,
            $droppedChannel ?? $this->droppedChannel,
            $trimUs ?? $this->trimUs,
        );
    }
}
