<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Gimbal;
use Linguator\Core\Travel\Reading;

/** What a rig has recorded of one handset channel: what is set, and what was read. */
final readonly class ChannelRecord
{
    private const DEFAULT_PCT = 100.0;

    private Node $settings;

    public function __construct(private RigDocument $rig, public int $channel)
    {
        $found = new \stdClass;
        foreach ($rig->settings()->nodes('channels') as $entry) {
            if ($entry->int('channel') === $channel) {
                $found = $entry->value;
            }
        }
        $this->settings = new Node($found);
    }

    public function node(): Node
    {
        return $this->settings;
    }

    public function now(): ChannelSettings
    {
        return new ChannelSettings(
            $this->settings->numberOrNull('lo_pct') ?? self::DEFAULT_PCT,
            $this->settings->numberOrNull('hi_pct') ?? self::DEFAULT_PCT,
            $this->settings->numberOrNull('subtrim') ?? 0.0,
            $this->settings->flag('reversed'),
        );
    }

    /** What it sends now, as recorded; null: not recorded. */
    public function ends(): ?Reading
    {
        $ends = $this->settings->numbersOrNull('ends_us');

        return $ends === null || count($ends) !== 3 ? null : self::reading($ends[0], $ends[1], $ends[2]);
    }

    /** The same; the usual ends where none are recorded. */
    public function endsOrUsual(): Reading
    {
        return $this->ends() ?? Reading::usual();
    }

    /**
     * What it sends where a control stands at this share of its way, µs: through the ends as recorded, straight on each side; else through what
     * its settings make of the handset's scale.
     *
     * @param  float  $share  −1 at the low end of the control, 1 at its high end, before the channel's own direction.
     */
    public function at(float $share): float
    {
        $now = $this->now();
        $ends = $this->ends();

        return $ends === null
            ? Gimbal::nominal($this->rig->handset()->travel(), $this->rig->handset()->scale())->at($now, $share)
            : $ends->at($now->reversed ? -$share : $share);
    }

    /** Of the input, %; below 0 it reverses. */
    public function inputWeight(): float
    {
        return $this->settings->numberOrNull('weight') ?? self::DEFAULT_PCT;
    }

    /** Added to the input, %. */
    public function offset(): float
    {
        return $this->settings->numberOrNull('offset') ?? 0.0;
    }

    /** Of the mix, %; below 0 it reverses. */
    public function mixWeight(): float
    {
        return $this->settings->numberOrNull('mix_weight') ?? self::DEFAULT_PCT;
    }

    /** @return list<ReadingTaken> Readings of this channel that make sense, oldest first. */
    public function readings(): array
    {
        $readings = [];
        foreach ($this->rig->node()->nodes('measurements') as $entry) {
            $reading = $entry->int('channel') === $this->channel ? self::sound($entry) : null;
            if ($reading !== null) {
                $with = $entry->node('settings');
                $readings[] = new ReadingTaken(
                    $reading,
                    $with === null ? $this->now() : new ChannelSettings($with->number('lo_pct'), $with->number('hi_pct'), $with->number('subtrim'), $with->flag('reversed')),
                    $entry->textOrNull('at'),
                    $entry->numberOrNull('noise_us'),
                );
            }
        }

        return $readings;
    }

    /** The values of a measurement; null: one is missing, or they make no sense. */
    public static function sound(Node $entry): ?Reading
    {
        return $entry->has('lo_us') && $entry->has('mid_us') && $entry->has('hi_us')
            ? self::reading($entry->number('lo_us'), $entry->number('mid_us'), $entry->number('hi_us'))
            : null;
    }

    private static function reading(float $lo, float $mid, float $hi): ?Reading
    {
        try {
            return Reading::of($lo, $mid, $hi);
        } catch (DocumentError) {
            return null;
        }
    }
}
