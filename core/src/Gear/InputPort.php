<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;
use Linguator\Core\Wire\WireFormat;
use Linguator\Core\Wire\WireFormats;

/** A wire going into a box. Null: not known; a rate of null: any. */
final readonly class InputPort
{
    /**
     * @param  string|null  $polarity  `standard`, `flipped` or `either`.
     * @param  bool  $anyLevel  Takes every voltage level (bare servos).
     * @param  Plug|null  $plug  Its pins in order.
     */
    public function __construct(
        public WireFormat $format,
        public ?string $polarity = 'standard',
        public ?float $levelMinV = null,
        public ?float $levelMaxV = null,
        public ?int $channels = null,
        public ?float $maxRateHz = null,
        public bool $telemetry = false,
        public bool $anyLevel = false,
        public int $index = 0,
        public ?Plug $plug = null,
    ) {
    }

    public static function fromDocument(mixed $port, int $index = 0): self
    {
        $node = new Node(is_string($port) ? (object) ['format' => $port] : ($port instanceof \stdClass ? $port : new \stdClass));
        $format = WireFormats::get($node->text('format'));

        return new self(
            $format,
            $node->has('polarity') ? $node->textOrNull('polarity') : ($format->id === 'ppm' ? 'either' : 'standard'),
            $node->numberOrNull('level_min_v'),
            $node->numberOrNull('level_max_v'),
            $node->has('channels') ? $node->intOrNull('channels') : $format->channels,
            $node->numberOrNull('max_rate_hz'),
            $node->flagOrNull('telemetry') ?? $format->telemetry,
            false,
            $index,
            Plug::of($node),
        );
    }

    public function isPwm(): bool
    {
        return $this->format->id === 'pwm';
    }
}
