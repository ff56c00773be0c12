<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Quantity\Pulse;
use Linguator\Core\Quantity\Steps;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Switching\StickCurve;

/**
 * What leaves the handset: each stick through rate, expo, weights, ends, sub-trim and direction of its channel, each switch and knob through its
 * level and the same (rules T and S).
 */
final readonly class HandsetOutput
{
    /** Of a stick's way, what is left of it where it was never calibrated. */
    private const UNCALIBRATED = 0.85;

    /** What a flight mode puts onto the channel it moves, of the stick's way. */
    private const FLIGHT_MODE_SHARE = 0.15;

    public int $channels;

    /** @var array<int, Letter> By channel. */
    private array $sticks;

    /** @var array<int, SwitchSetting> By channel. */
    private array $switches;

    /** @var array<int, ChannelRecord> By channel. */
    private array $records;

    private float $centreUs;

    /** @var string|null The switch on which a flight mode hangs. */
    private ?string $flightSwitch;

    public function __construct(private World $world)
    {
        $rig = $world->rig;
        $handset = $rig->boxes->handset();
        $this->centreUs = $handset->centreUs ?? Pulse::CENTRE_US;
        $this->sticks = self::sticks($rig);
        $fed = array_filter($rig->switches(), static fn (SwitchSetting $switch): bool => $switch->switch !== null);
        $this->switches = array_combine(array_map(static fn (SwitchSetting $switch): int => $switch->channel, $fed), $fed);
        $this->channels = self::count($rig, $handset);
        $records = [];
        foreach (array_keys($this->sticks) as $channel) {
            $records[$channel] = new ChannelRecord($rig, $channel);
        }
        $this->records = $records;
        $this->flightSwitch = $world->has(Oddity::FlightModeOn) ? self::flightSwitch($rig) : null;
    }

    /** @return list<float> µs of channel 1, 2 … */
    public function at(Controls $controls): array
    {
        $us = [];
        for ($channel = 1; $channel <= $this->channels; $channel++) {
            $us[] = match (true) {
                isset($this->switches[$channel]) => $this->switched($this->switches[$channel], $controls),
                isset($this->sticks[$channel]) => $this->stuck($channel, $controls),
                default => $this->centreUs,
            };
        }

        return $us;
    }

    /** The channel on which a stick leaves; null: on none. */
    public static function channelOf(RigDocument $rig, Letter $letter): ?int
    {
        $channel = array_search($letter, self::sticks($rig), true);

        return $channel === false ? null : $channel;
    }

    /** A switch on which a flight mode can hang: one that carries nothing else, if there is one, and never the one that arms. */
    public static function flightSwitch(RigDocument $rig): ?string
    {
        $free = array_filter($rig->handset()->switches(), static fn ($switch): bool => ! $switch->isSlider() && $rig->switchOf('arm')?->switchId !== $switch->id);
        $used = array_map(static fn (SwitchSetting $switch): ?string => $switch->switchId, $rig->switches());
        usort($free, static fn ($a, $b): int => in_array($a->id, $used, true) <=> in_array($b->id, $used, true));

        return ($free[0] ?? null)?->id;
    }

    /** @return array<int, Letter> By channel: by the order, else where the functions are told. */
    private static function sticks(RigDocument $rig): array
    {
        $sticks = [];
        foreach (Letter::cases() as $letter) {
            $channel = $rig->handsetOrder()?->channelOf($letter) ?? $rig->functions()?->channelOf($letter->functionName());
            if ($channel !== null) {
                $sticks[$channel] = $letter;
            }
        }

        return $sticks;
    }

    /** As many as the handset has; where its card does not say, as many as are in use. */
    private static function count(RigDocument $rig, ?Handset $handset): int
    {
        $used = [$rig->channels(), ...array_map(static fn (SwitchSetting $switch): int => $switch->channel, $rig->switches())];

        return $handset->channels ?? max($used);
    }

    private function switched(SwitchSetting $switch, Controls $controls): float
    {
        $id = (string) $switch->switchId;
        $levels = $switch->levels();

        return $switch->isSlider() ? $switch->slidTo($controls->knob($id)) : $levels->us(min($levels->count(), $controls->position($id)));
    }

    /** A stick; the amount of its weights acts before the ends, their signs turn it round. */
    private function stuck(int $channel, Controls $controls): float
    {
        $record = $this->records[$channel];
        $curve = new StickCurve($record->node()->number('rate_pct', 100.0) / 100, $record->node()->number('expo_pct', 0.0) / 100);
        $stick = $controls->stick($this->sticks[$channel]) / 100 * ($this->world->hasOn(Oddity::CalibrationBad, $channel) ? self::UNCALIBRATED : 1.0);
        $share = $curve->at($stick) * $record->inputWeight() * $record->mixWeight() / 1e4;
        if ($this->flightSwitch !== null && $this->world->hasOn(Oddity::FlightModeOn, $channel) && $controls->position($this->flightSwitch) > 1) {
            $share += self::FLIGHT_MODE_SHARE;
        }

        return Steps::clean($record->at($share) + ($this->world->hasOn(Oddity::TrimOff, $channel) ? $this->world->trimUs : 0.0));
    }
}
