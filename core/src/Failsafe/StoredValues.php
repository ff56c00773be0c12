<?php

declare(strict_types=1);

namespace Linguator\Core\Failsafe;

use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\CraftKind;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Switching\Window;
use Linguator\Core\Travel\Reading;

/** Stored values, seen through today's direction, travel and order: what they make of the throttle and the modes. */
final readonly class StoredValues
{
    private const OFF_SHARE = 0.05;

    private const FULL_SHARE = 0.75;

    private const HOVER_FROM = 0.40;

    private function __construct(public Outcome $outcome, public string $because, public Findings $findings)
    {
    }

    /** @param  int  $hop  From 1. */
    public static function judge(RigDocument $rig, int $hop, StoredUs $stored): self
    {
        $sticks = new ThrottleChannel($rig);
        if (! $sticks->hasThrottle()) {
            return new self(Outcome::MotorOffNeutral, 'There is no motor; everything goes where it was stored.', Findings::none());
        }
        $channel = $sticks->throttleAt($hop);
        $value = $stored->at($channel);
        if ($channel === null || $value === null) {
            return new self(Outcome::Unknown, $channel === null ? 'It cannot be told on which channel the throttle rides here.' : "No value is stored for channel $channel, on which the throttle rides.", Findings::none());
        }
        $record = new ChannelRecord($rig, $sticks->throttle() ?? $channel);

        return self::verdict($rig, $hop, $stored, $value, $record->endsOrUsual(), $record->now()->reversed);
    }

    private static function verdict(RigDocument $rig, int $hop, StoredUs $stored, float $value, Reading $ends, bool $reversed): self
    {
        $share = ($value - $ends->lo) / ($ends->hi - $ends->lo);
        $share = $reversed ? 1 - $share : $share;
        $said = sprintf('%g µs is stored for the throttle, %.0f %% of its stick', $value, $share * 100).($reversed ? ' (reversed)' : '');
        $holdsPosition = $rig->holdsPosition();
        if ($holdsPosition && self::isIn($rig, Window::RETURN, $hop, $stored)) {
            return new self(Outcome::ReturnHome, "The return mode is stored; $said.", $share >= self::HOVER_FROM - 1e-9 ? Findings::none() : Findings::of(new Finding(Code::F2, Severity::Fix,
                sprintf('The return mode is stored, but the throttle at %.0f %%.', $share * 100), found: sprintf('%g µs', $value), expected: '40 to 60 % of the stick, near hover',
                why: 'Some controllers sink, or refuse the mode, with the throttle that low.', change: 'Store it again with the throttle stick near hover.')));
        }
        $atCentre = $rig->motorOffAtCentre();
        $isOff = $atCentre ? abs($value - $ends->mid) <= self::OFF_SHARE * ($ends->hi - $ends->lo) + 1e-9 : $share <= self::OFF_SHARE + 1e-9;
        if ($isOff) {
            $arms = $rig->kind() === CraftKind::Multirotor && self::isIn($rig, Window::ARM, $hop, $stored);

            return new self(Outcome::MotorOffNeutral, "$said: motor off.", $arms ? Findings::of(new Finding(Code::F3, Severity::Check,
                'The arm channel is stored armed.', why: 'The craft drops, and may start again on the ground.', change: 'Store the values with the arm switch off, or let the receiver stop its output.')) : Findings::none());
        }
        $full = $share >= self::FULL_SHARE || ($atCentre && $share <= 1 - self::FULL_SHARE);

        return new self($full ? Outcome::FullThrottle : Outcome::MotorRuns, "$said: the motor runs.", Findings::of(new Finding(Code::F1, $holdsPosition ? Severity::Fix : Severity::Stop,
            sprintf('The stored throttle is not motor off: %g µs, %.0f %% of the stick.', $value, $share * 100), found: sprintf('%g µs', $value),
            expected: $atCentre ? sprintf('%g µs, the middle', $ends->mid) : sprintf('%g µs, low', $reversed ? $ends->hi : $ends->lo),
            why: 'The motor runs on with nobody in command.', change: $atCentre ? 'Store it again with the throttle stick in the middle.' : 'Store it again with the throttle stick low.')));
    }

    /** Whether the stored values put a window of the controller on. */
    private static function isIn(RigDocument $rig, string $window, int $hop, StoredUs $stored): bool
    {
        foreach ($rig->windows() as $entry) {
            $position = $entry->window->name === $window ? $rig->boxes->receiverAt($hop) : null;
            $channel = $position === null ? null : $rig->chain()->trace()->back($entry->channel, $position);
            $value = $stored->at($channel);
            if ($value !== null && $entry->window->contains($value)) {
                return true;
            }
        }

        return false;
    }
}
