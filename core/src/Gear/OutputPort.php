<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\Node;
use Linguator\Core\Wire\WireFormat;
use Linguator\Core\Wire\WireFormats;

/** A wire coming out of a box. Null: not known. */
final readonly class OutputPort
{
    /**
     * @param  string|null  $polarity  `standard` or `flipped`, against the format's own definition.
     * @param  list<string>|null  $labels  What is printed at pins 1, 2 …
     * @param  list<float>|null  $periodsMs  As delivered first.
     * @param  string|null  $mode  The setting of the box in which this output exists.
     * @param  Place  $place  Where on the box it comes out.
     * @param  int|null  $pin  The pin that carries it, where it comes out beside others; null: a socket of its own, or not known.
     * @param  Plug|null  $plug  Its pins in order.
     */
    public function __construct(
        public WireFormat $format,
        public ?string $polarity = 'standard',
        public ?float $levelV = null,
        public ?int $channels = null,
        public ?int $pins = null,
        public ?array $labels = null,
        public bool $remappable = false,
        public ?array $periodsMs = null,
        public bool $telemetry = false,
        public ?string $mode = null,
        public Place $place = Place::Wire,
        public int $index = 0,
        public ?int $pin = null,
        public ?Plug $plug = null,
    ) {
    }

    public static function fromDocument(mixed $port, Place $place = Place::Wire, int $index = 0): self
    {
        $node = new Node(is_string($port) ? (object) ['format' => $port] : ($port instanceof \stdClass ? $port : new \stdClass));
        $format = WireFormats::get($node->text('format'));
        $labels = $node->textsOrNull('labels');
        $pins = $node->intOrNull('pins') ?? ($labels === null ? null : count($labels));

        return new self(
            $format,
            $node->has('polarity') ? $node->textOrNull('polarity') : 'standard',
            $node->numberOrNull('level_v'),
            $node->has('channels') ? $node->intOrNull('channels') : ($format->id === 'pwm' ? $pins : $format->channels),
            $pins,
            $labels,
            $node->flag('remappable'),
            $node->numbersOrNull('period_ms'),
            $node->flagOrNull('telemetry') ?? $format->telemetry,
            $node->textOrNull('mode'),
            $place,
            $index,
            $node->intOrNull('pin'),
            Plug::of($node),
        );
    }

    public function isPwm(): bool
    {
        return $this->format->id === 'pwm';
    }

    /**
     * Where pins can be set to any channel, those beyond its pins take the free ones.
     *
     * @param  list<int>  $channels  Those in use.
     * @return array<int, int> Pin by channel, of those on another pin than their own.
     */
    public function pinsFor(array $channels): array
    {
        if (! $this->remappable || $this->pins === null) {
            return [];
        }
        $free = array_values(array_diff(range(1, $this->pins), $channels));
        $beyond = array_values(array_filter($channels, fn (int $channel): bool => $channel > $this->pins));
        sort($beyond);

        return array_combine(array_slice($beyond, 0, count($free)), array_slice($free, 0, count($beyond)));
    }

    /** Whether a throttle plug has a place here: any pin by choice, a pin marked T, or at least four unmarked ones. */
    public function hasThrottlePin(): bool
    {
        return $this->isPwm() && ($this->remappable
            || ($this->labels === null ? ($this->pins ?? 0) >= 4 : in_array('T', $this->labels, true)));
    }
}
