<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Finding;
use Linguator\Core\Finding\Findings;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;

/**
 * The channel order along a path as the boxes are delivered, and the cheapest cure where it is wrong:
 * plugs, then the fewest remaps to switch (earliest first), then the handset's order.
 */
final readonly class PathOrder
{
    /** @param  list<SettingChange>  $changes */
    private function __construct(public array $changes, public Findings $findings)
    {
    }

    public static function judge(Handset $handset, Joints $joints): self
    {
        $taker = ChannelTaker::of($joints);
        if ($taker === null || $handset->order === null) {
            return new self([], Findings::none());
        }
        $trace = Trace::along($joints, $handset->order, $taker->order, static fn (Module $module): bool => $module->remapOn);
        $unknown = $trace->unknown();
        if ($unknown !== null) {
            return new self([], Findings::of(new Finding(Code::M13, Severity::Check,
                "Not known: the order in which $unknown->name sends this family.",
                why: 'Without it nobody can say which stick arrives where.', change: 'Enter it on the card, or move the sticks and watch which value moves.', from: $unknown->id)));
        }
        $sticks = $trace->sticks();
        if ($sticks === null || $sticks->isCorrect()) {
            return new self([], Findings::none());
        }

        return $taker->byPwm ? self::byPlugs($sticks) : self::bySwitching($trace) ?? self::atHandset($handset, $sticks);
    }

    private static function byPlugs(OrderTrace $sticks): self
    {
        return new self([], Findings::of(new Finding(Code::O1, Severity::Note, 'The order differs; the plugs mend it.',
            found: $sticks->arriving()->toString(), expected: $sticks->reader->toString(),
            why: 'Each function arrives on another pin than its label says.', change: 'Put each plug into the pin where its function arrives.')));
    }

    /** The fewest modules to switch; null: no switching makes it right. */
    private static function bySwitching(Trace $trace): ?self
    {
        $switchable = array_values(array_filter($trace->modules, static fn (Rearranging $entry): bool => $entry->module->remapSwitchable));
        foreach (self::subsets($switchable) as $subset) {
            if ($trace->switched(...$subset)->sticks()?->isCorrect() === true) {
                return new self(array_map(static fn (Rearranging $entry): SettingChange => new SettingChange($entry->module->id, 'remap', ! $entry->isOn), $subset), Findings::none());
            }
        }

        return null;
    }

    /**
     * All non-empty subsets, small ones first, earlier members first.
     *
     * @param  list<Rearranging>  $members
     * @return list<non-empty-list<Rearranging>>
     */
    private static function subsets(array $members): array
    {
        $subsets = [];
        for ($bits = 1; $bits < 1 << count($members); $bits++) {
            $positions = array_values(array_filter(array_keys($members), static fn (int $position): bool => ($bits >> $position & 1) === 1));
            if ($positions !== []) {
                $subsets[] = $positions;
            }
        }
        usort($subsets, static fn (array $a, array $b): int => count($a) <=> count($b) ?: $a <=> $b);

        return array_map(static fn (array $positions): array => array_map(static fn (int $position): Rearranging => $members[$position], $positions), $subsets);
    }

    private static function atHandset(Handset $handset, OrderTrace $sticks): self
    {
        $needed = $sticks->handsetOrderNeeded()->toString();
        if ($handset->orderFixed) {
            return new self([], Findings::of(new Finding(Code::O1, Severity::Check, "The order differs, and that of $handset->name cannot be changed.",
                found: $sticks->arriving()->toString(), expected: $sticks->reader->toString(),
                why: 'A stick would move something else than it should.', change: 'Mend it behind the handset: at the controller, by a module that rearranges, or by the plugs.')));
        }

        return new self(
            [new SettingChange($handset->id, 'order', $needed)],
            Findings::of(new Finding(Code::O1, Severity::Check, 'The order differs; set it at the handset.',
                found: $sticks->handset->toString(), expected: $needed,
                why: 'A stick would move something else than it should.', change: "Set the channel order of this model to $needed.")),
        );
    }
}
