<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;

/**
 * The channel order along a path as the boxes are delivered, and the cheapest cure where it is wrong:
 * plugs, then the fewest remaps to switch (earliest first), then the handset's order.
 */
final readonly class PathOrder
{
    /**
     * @param  list<SettingChange>  $changes
     * @param  list<Finding>  $findings
     */
    private function __construct(public array $changes = [], public array $findings = [])
    {
    }

    /** @param  list<Joint>  $joints */
    public static function judge(Handset $handset, array $joints): self
    {
        $reader = OrderReader::of($joints);
        if ($reader === null || $handset->order === null) {
            return new self;
        }
        $modules = self::modules($joints);
        foreach ($modules as [$module, $remap]) {
            if ($module->remapOn && $module->expects !== null && $remap === null) {
                return new self([], [new Finding('M13', Severity::Check,
                    "Not known: the order in which $module->name sends this family.",
                    why: 'Without it nobody can say which stick arrives where.', change: 'Enter it on the card, or move the sticks and watch which value moves.', from: $module->id)]);
            }
        }
        $asDelivered = array_map(static fn (array $entry): bool => $entry[0]->remapOn, $modules);
        $trace = self::trace($handset->order, $reader->order, $modules, $asDelivered);
        if ($trace === null || $trace->isCorrect()) {
            return new self;
        }

        return $reader->byPwm
            ? new self([], [new Finding('O1', Severity::Note, 'The order differs; the plugs mend it.',
                found: $trace->arriving()->toString(), expected: $reader->order->toString(),
                why: 'Each function arrives on another pin than its label says.', change: 'Put each plug into the pin where its function arrives.')])
            : self::bySwitching($handset, $reader->order, $modules, $asDelivered) ?? self::atHandset($handset, $trace);
    }

    /**
     * @param  list<Joint>  $joints
     * @return list<array{Module, Remap|null}> Modules from the handset on, each with what its remapping would do.
     */
    private static function modules(array $joints): array
    {
        $modules = [];
        foreach ($joints as $joint) {
            if ($joint->from instanceof Module) {
                $modules[] = [$joint->from, $joint->from->remapFor($joint->sent)];
            }
        }

        return $modules;
    }

    /**
     * @param  list<array{Module, Remap|null}>  $modules
     * @param  array<int, bool>  $on
     */
    private static function trace(ChannelOrder $handset, ChannelOrder $reader, array $modules, array $on): ?OrderTrace
    {
        $remaps = [];
        foreach ($modules as $k => [$module, $remap]) {
            if ($on[$k] && $module->expects !== null) {
                if ($remap === null) {
                    return null;
                }
                $remaps[] = $remap;
            }
        }

        return new OrderTrace($handset, $reader, $remaps);
    }

    /**
     * @param  list<array{Module, Remap|null}>  $modules
     * @param  array<int, bool>  $asDelivered
     */
    private static function bySwitching(Handset $handset, ChannelOrder $reader, array $modules, array $asDelivered): ?self
    {
        assert($handset->order !== null);
        $switchable = array_keys(array_filter($modules, static fn (array $entry): bool => $entry[0]->expects !== null && $entry[0]->remapSwitchable));
        foreach (self::subsets($switchable) as $subset) {
            $on = $asDelivered;
            foreach ($subset as $k) {
                $on[$k] = ! $on[$k];
            }
            if (self::trace($handset->order, $reader, $modules, $on)?->isCorrect() === true) {
                return new self(array_map(static fn (int $k): SettingChange => new SettingChange($modules[$k][0]->id, 'remap', $on[$k]), $subset));
            }
        }

        return null;
    }

    /**
     * All non-empty subsets, small ones first, earlier members first.
     *
     * @param  list<int>  $members
     * @return list<non-empty-list<int>>
     */
    private static function subsets(array $members): array
    {
        $subsets = [];
        for ($bits = 1; $bits < 1 << count($members); $bits++) {
            $subset = array_values(array_filter($members, static fn (int $position): bool => ($bits >> $position & 1) === 1, ARRAY_FILTER_USE_KEY));
            if ($subset !== []) {
                $subsets[] = $subset;
            }
        }
        usort($subsets, static fn (array $a, array $b): int => count($a) <=> count($b) ?: $a <=> $b);

        return $subsets;
    }

    private static function atHandset(Handset $handset, OrderTrace $trace): self
    {
        $needed = $trace->handsetOrderNeeded()->toString();

        return new self(
            [new SettingChange($handset->id, 'order', $needed)],
            [new Finding('O1', Severity::Check, 'The order differs; set it at the handset.',
                found: $trace->handset->toString(), expected: $needed,
                why: 'A stick would move something else than it should.', change: "Set the channel order of this model to $needed.")],
        );
    }
}
