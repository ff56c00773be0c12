<?php

declare(strict_types=1);

namespace Linguator\Core\Bind;

/** What may still be the right combination: lists of variants, channel modes and regions, likeliest first (rule B). */
final readonly class Candidates
{
    public const AUTO = 'auto';

    private const AUTO_SHARE = 0.6;

    private const AUTO_MINUTES = 2.0;

    private const FIXED_MINUTES = 3.0;

    /**
     * @param  non-empty-list<string>  $variants
     * @param  non-empty-list<string>  $channelModes
     * @param  list<string>  $regions  Empty: the family has none.
     * @param  array<string, float>  $minutes  By variant, where it differs from the usual.
     * @param  string|null  $knownRegion  Leaves only itself.
     */
    public function __construct(
        private array $variants,
        private array $channelModes,
        private array $regions = [],
        private array $minutes = [],
        private bool $autoRefused = false,
        private ?string $knownRegion = null,
    ) {
    }

    /** The only region possible, if there is only one; null if there is none or several. */
    public function onlyRegion(): ?string
    {
        return $this->knownRegion ?? (count($this->regions) === 1 ? $this->regions[0] : null);
    }

    public function hasSeveralRegions(): bool
    {
        return $this->knownRegion === null && count($this->regions) > 1;
    }

    /** @return list<Combination> In list order: variant, mode, region. */
    public function combinations(): array
    {
        $combinations = [];
        foreach ($this->variantShares() as [$variant, $share]) {
            foreach (self::halving($this->channelModes) as [$mode, $modeShare]) {
                foreach ($this->regionShares() as [$region, $regionShare]) {
                    $minutes = $this->minutes[$variant] ?? ($variant === self::AUTO ? self::AUTO_MINUTES : self::FIXED_MINUTES);
                    $combinations[] = new Combination($variant, $mode, $region, $share * $modeShare * $regionShare, $minutes);
                }
            }
        }

        return $combinations;
    }

    /** @return list<array{string, float}> */
    private function variantShares(): array
    {
        $fixed = array_values(array_filter($this->variants, static fn (string $variant): bool => $variant !== self::AUTO));
        $auto = match (true) {
            count($fixed) === count($this->variants), $this->autoRefused => 0.0,
            $fixed === [] => 1.0,
            default => self::AUTO_SHARE,
        };
        $shares = [self::AUTO => $auto];
        foreach (self::halving($fixed) as [$variant, $share]) {
            $shares[$variant] = (1 - $auto) * $share;
        }

        return array_map(static fn (string $variant): array => [$variant, $shares[$variant]], $this->variants);
    }

    /** @return list<array{string|null, float}> */
    private function regionShares(): array
    {
        return match (true) {
            $this->knownRegion !== null => [[$this->knownRegion, 1.0]],
            $this->regions === [] => [[null, 1.0]],
            default => self::halving($this->regions),
        };
    }

    /**
     * Each half as likely as the one before, scaled to 1.
     *
     * @param  list<string>  $names
     * @return list<array{string, float}>
     */
    private static function halving(array $names): array
    {
        $total = 2 - 2 ** (1 - count($names));

        return array_map(static fn (string $name, int $k): array => [$name, 2 ** -$k / $total], $names, array_keys($names));
    }
}
