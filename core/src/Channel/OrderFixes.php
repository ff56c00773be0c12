<?php

declare(strict_types=1);

namespace Linguator\Core\Channel;

/**
 * Every way to mend a wrong order, cheapest first, each with what else it touches.
 *
 * Moving plugs costs nothing in any menu, then one controller setting, then the handset's model memory;
 * a module's remapping comes last since it affects every model that uses the module.
 */
final class OrderFixes
{
    /**
     * @param  OrderTrace|null  $withModuleSwitched  The trace with the module's remapping turned the other way, if there is a module.
     * @return list<array<string, mixed>> Empty when the order is correct already.
     */
    public static function for(OrderTrace $trace, ReaderKind $reader, ?OrderTrace $withModuleSwitched = null, bool $remapAfterSwitch = false): array
    {
        if ($trace->isCorrect()) {
            return [];
        }
        $fixes = $reader === ReaderKind::Pins ? [self::plugs($trace)] : [self::controller($trace)];
        $fixes[] = self::handset($trace);
        if ($withModuleSwitched !== null && $withModuleSwitched->isCorrect()) {
            $fixes[] = self::module($remapAfterSwitch);
        }

        return $fixes;
    }

    /** @return array<string, mixed> */
    private static function plugs(OrderTrace $trace): array
    {
        return [
            'at' => 'plugs',
            'table' => self::plugTable($trace),
            'touches' => 'Only this craft. Nothing is set in any menu.',
            'change' => 'Put each plug into the pin where its function arrives, whatever the label says.',
        ];
    }

    /**
     * Which plug goes into which pin, in the sequence A, E, T, R.
     *
     * @return list<array{letter: string, pin: int, label: string}>
     */
    public static function plugTable(OrderTrace $trace): array
    {
        $arriving = $trace->arriving();

        return array_map(static fn (Letter $letter): array => [
            'letter' => $letter->value,
            'pin' => $arriving->channelOf($letter),
            'label' => $trace->reader->at($arriving->channelOf($letter))->value,
        ], Letter::cases());
    }

    /** @return array<string, mixed> */
    private static function controller(OrderTrace $trace): array
    {
        return [
            'at' => 'controller',
            'order' => $trace->arriving()->toString(),
            'touches' => 'Only this craft: one setting in its controller.',
            'change' => "Set the controller's channel order to {$trace->arriving()->toString()}.",
        ];
    }

    /** @return array<string, mixed> */
    private static function handset(OrderTrace $trace): array
    {
        return [
            'at' => 'handset',
            'order' => $trace->handsetOrderNeeded()->toString(),
            'touches' => 'This model memory only. The default order in the handset touches only models made later.',
            'change' => "Set the handset's channel order for this model to {$trace->handsetOrderNeeded()->toString()}.",
        ];
    }

    /** @return array<string, mixed> */
    private static function module(bool $on): array
    {
        return [
            'at' => 'module',
            'remap' => $on,
            'touches' => 'Every model that uses this module.',
            'change' => $on ? "Turn the module's remapping on." : "Turn the module's remapping off: what the handset sends is then what goes out.",
        ];
    }
}
