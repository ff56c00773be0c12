<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;

/** Tests that look at lights, bind again, walk away or switch the handset off. */
final readonly class LinkTests
{
    /** Throttle up a little, %. */
    private const UP_A_LITTLE = -60.0;

    private const TO_ONE_SIDE = 40.0;

    private const SAME_US = 3.0;

    /** What is left of the motor's way where it is off. */
    private const OFF_SHARE = 0.05;

    public function __construct(private Sight $plan, private Sight $sight)
    {
    }

    /** Null: it is not one of these. */
    public function see(string $test): ?Seen
    {
        return match ($test) {
            'receiver_light' => new Seen(self::word($this->receiverLight([]))),
            'module_light' => $this->moduleLight(),
            'light_follows_handset' => new Seen($this->receiverLight([]) === $this->receiverLight(range(1, max(1, $this->hops()))) ? 'no' : 'yes'),
            'bind_at_two_metres' => $this->binds(LinkTrouble::TooClose, LinkTrouble::OtherNumber),
            'bind_fixed_variant' => $this->binds(LinkTrouble::TooClose, LinkTrouble::OtherNumber, LinkTrouble::Variant),
            'bind_with_sixteen_channels' => $this->binds(LinkTrouble::TooClose, LinkTrouble::OtherNumber),
            'bind_within_window' => $this->binds(LinkTrouble::TooClose, LinkTrouble::OtherNumber, LinkTrouble::WindowMissed),
            'bind_other_region' => $this->sight->circuit->world->isPartedBy(LinkTrouble::Region) ? $this->binds(LinkTrouble::TooClose, LinkTrouble::OtherNumber, LinkTrouble::Region) : new Seen('fails'),
            'receiver_light_while_binding' => new Seen($this->receiverLight([]) === Shows::Off || $this->sight->circuit->world->isPartedBy(LinkTrouble::NotInBindMode, LinkTrouble::WindowMissed) ? 'unchanged' : 'bind_mode'),
            'loss_test' => $this->loss(),
            'loss_test_first_hop' => new Seen($this->isFirstHopHolding() ? 'holds' : 'as_expected'),
            'range_walk' => new Seen($this->sight->circuit->world->has(Oddity::ReachShort) ? 'short' : 'full'),
            default => null,
        };
    }

    private static function word(Shows $shows): string
    {
        return match ($shows) {
            Shows::Linked => 'steady',
            Shows::Searching => 'searching',
            Shows::Off => 'off',
            Shows::Bind => 'bind_mode',
        };
    }

    private function hops(): int
    {
        return count($this->sight->rig()->boxes->hops());
    }

    /** @param  list<int>  $lost */
    private function receiverLight(array $lost): Shows
    {
        $receiver = $this->sight->rig()->boxes->lastReceiver();

        return $receiver === null ? Shows::Off : $this->light($receiver->id, $lost);
    }

    /** @param  list<int>  $lost */
    private function light(string $box, array $lost): Shows
    {
        foreach ((new Simulation($this->sight->run(Controls::resting(), $lost), Controls::resting()))->lights() as $light) {
            if ($light->box === $box) {
                return $light->shows;
            }
        }

        return Shows::Off;
    }

    /** It shows an error where it gets what it cannot read. */
    private function moduleLight(): Seen
    {
        $modules = $this->sight->rig()->boxes->modules();
        foreach ($modules as $module) {
            if ($this->light($module->id, []) === Shows::Off) {
                return new Seen('off');
            }
        }

        return new Seen($this->sight->circuit->world->has(Oddity::OtherBayFormat) ? 'error' : 'on');
    }

    /** Whether what sends and what receives has power. */
    private function isFed(): bool
    {
        foreach ($this->sight->rig()->boxes as $box) {
            if ($this->sight->circuit->world->feed($box->id()) === Feed::None) {
                return false;
            }
        }

        return true;
    }

    /** Bound in this way it is well, if nothing but this was the matter. */
    private function binds(LinkTrouble ...$cured): Seen
    {
        return new Seen($this->isFed() && ! $this->sight->circuit->world->isPartedBut(...$cured) ? 'binds' : 'fails');
    }

    private function loss(): Seen
    {
        if (! $this->sight->isAnythingHeard()) {
            return new Seen('nothing');
        }
        [$does, $planned] = [$this->onLoss($this->sight), $this->onLoss($this->plan)];

        return new Seen($does === $planned ? 'as_expected' : $does);
    }

    /** Throttle up a little, the other sticks held to one side. */
    private function controls(): Controls
    {
        $controls = Controls::resting();
        foreach (Letter::cases() as $letter) {
            $controls = $controls->moved($letter, $letter === Letter::Throttle ? self::UP_A_LITTLE : self::TO_ONE_SIDE);
        }

        return $controls;
    }

    /** What the craft does when the handset goes off, in the words of the test. */
    private function onLoss(Sight $sight): string
    {
        return match (true) {
            $this->isHolding($sight) => 'holds',
            $this->isRunning($sight) => 'motor_runs',
            default => 'as_expected',
        };
    }

    /** Everything goes on as it was. */
    private function isHolding(Sight $sight): bool
    {
        [$lost, $was] = [$sight->us($this->controls(), [1]), $sight->us($this->controls())];
        foreach ($was as $function => $us) {
            if ($us !== null && abs(($lost[$function] ?? 0.0) - $us) > self::SAME_US) {
                return false;
            }
        }

        return ! $sight->craft($this->controls(), [1])->isFlagged();
    }

    private function isRunning(Sight $sight): bool
    {
        $at = static fn (float $percent): ?float => $sight->us(Controls::resting()->moved(Letter::Throttle, $percent))[Letter::Throttle->functionName()] ?? null;
        [$lost, $low, $high, $off] = [$sight->us($this->controls(), [1])[Letter::Throttle->functionName()] ?? null, $at(-100.0), $at(100.0), $at($sight->rig()->motorOffAtCentre() ? 0.0 : -100.0)];

        return $lost !== null && $low !== null && $high !== null && $off !== null && abs($lost - $off) > self::OFF_SHARE * abs($high - $low);
    }

    /** What the first receiver puts out when the handset goes off, beside what it should. */
    private function isFirstHopHolding(): bool
    {
        return $this->isHeldBehindFirst($this->sight) && ! $this->isHeldBehindFirst($this->plan);
    }

    private function isHeldBehindFirst(Sight $sight): bool
    {
        $at = (int) $sight->rig()->boxes->receiverAt(1);
        [$lost, $was] = [$sight->run($this->controls(), [1])->sent($at), $sight->run($this->controls())->sent($at)];

        return $lost !== null && $was !== null && $lost->isSilent === false && ! $lost->isFlagged && $lost->us === $was->us;
    }
}
