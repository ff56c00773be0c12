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
     * @param  OrderTrace|null  $withModuleOff  The trace with the module's remapping off, if there is a module.
     * @return list<OrderFix> Empty when the order is correct already.
     */
    public static function for(OrderTrace $trace, ReaderKind $reader, ?OrderTrace $withModuleOff = null): array
    {
        if ($trace->isCorrect()) {
            return [];
        }

        return array_values(array_filter([
            $reader === ReaderKind::Pins ? self::plugs($trace) : self::controller($trace),
            self::handset($trace),
            $withModuleOff?->isCorrect() === true ? self::moduleOff() : null,
        ]));
    }

    public static function plugs(OrderTrace $trace): OrderFix
    {
        return new OrderFix(FixPlace::Plugs, 'Only this craft. Nothing is set in any menu.', 'Put each plug into the pin where its function arrives, whatever the label says.', table: self::plugTable($trace));
    }

    public static function controller(OrderTrace $trace): OrderFix
    {
        return new OrderFix(FixPlace::Controller, 'Only this craft: one setting in its controller.', "Set the controller's channel order to {$trace->arriving()->toString()}.", $trace->arriving());
    }

    public static function handset(OrderTrace $trace): OrderFix
    {
        return new OrderFix(FixPlace::Handset, 'This model memory only. The default order in the handset touches only models made later.', "Set the handset's channel order for this model to {$trace->handsetOrderNeeded()->toString()}.", $trace->handsetOrderNeeded());
    }

    /** @return list<Plug> Which plug goes into which pin, in the sequence A, E, T, R. */
    public static function plugTable(OrderTrace $trace): array
    {
        $arriving = $trace->arriving();

        return array_map(static fn (Letter $letter): Plug => new Plug($letter, $arriving->channelOf($letter), $trace->reader->at($arriving->channelOf($letter))), Letter::cases());
    }

    private static function moduleOff(): OrderFix
    {
        return new OrderFix(FixPlace::Module, 'Every model that uses this module.', "Turn the module's remapping off: what the handset sends is then what goes out.", remap: false);
    }
}
