<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Document\Node;

/** One air protocol a radio speaks. Null: not known, or the family has none. */
final readonly class Protocol
{
    public const AUTO = 'auto';

    /**
     * @param  list<float>|null  $framesMs  As delivered first.
     * @param  list<string>|null  $modes  Channel modes a sender offers, `1-8` or `1-16`.
     * @param  ChannelOrder|null  $order  Order in which a remapping module sends this family.
     */
    public function __construct(
        public string $family,
        public ?string $variant,
        public ?array $framesMs,
        public ?int $channels,
        public ?array $modes,
        public ?string $region,
        public ?string $firmware,
        public ?ChannelOrder $order,
        public bool $refusesAuto,
        public ?float $fMhz,
        public int $index = 0,
        public ?int $levels = null,
    ) {
    }

    public static function fromNode(Node $protocol, int $index): self
    {
        return new self(
            $protocol->text('family'),
            $protocol->textOrNull('variant'),
            $protocol->numbersOrNull('frame_ms'),
            $protocol->intOrNull('channels'),
            $protocol->textsOrNull('modes'),
            $protocol->textOrNull('region'),
            $protocol->textOrNull('firmware'),
            ChannelOrder::tryOf($protocol->textOrNull('order')),
            $protocol->flag('refuses_auto'),
            $protocol->numberOrNull('f_mhz'),
            $index,
            $protocol->intOrNull('levels'),
        );
    }

    /** @return list<self> */
    public static function listFrom(Node $owner): array
    {
        $protocols = $owner->nodes('protocols');

        return array_map(self::fromNode(...), $protocols, array_keys($protocols));
    }

    /**
     * Of several the one that `family/variant` means; else the first of its family. Null: the family is not among them.
     *
     * @param  list<self>  $protocols
     */
    public static function named(string $via, array $protocols): ?self
    {
        [$family, $variant] = explode('/', $via, 2) + [1 => null];
        $ofFamily = array_values(array_filter($protocols, static fn (self $protocol): bool => $protocol->family === $family));
        foreach ($ofFamily as $protocol) {
            if ($protocol->variant === $variant) {
                return $protocol;
            }
        }

        return $ofFamily[0] ?? null;
    }
}
