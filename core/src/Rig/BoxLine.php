<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;

/** What matters of a box, in one short line under its name. */
final class BoxLine
{
    public static function of(Box $box, ?RigDocument $rig = null): string
    {
        $parts = match (true) {
            $box instanceof Handset => ['handset', self::spaced(($rig?->handsetOrder() ?? $box->order)?->toString()), $box->usPer100 === null ? null : "±$box->usPer100"],
            $box instanceof Module => ['module', self::remap($box, $rig)],
            $box instanceof Receiver => ['receiver', self::outputs($box)],
            $box instanceof Converter => ['converter', self::turns($box)],
            $box instanceof Controller => ['controller', self::spaced(($rig?->controllerOrder() ?? $box->order)?->toString())],
            $box instanceof ServoSet => [self::servos($box)],
            default => [$box->kind()->label()],
        };

        return implode(' · ', array_filter($parts, static fn (?string $part): bool => $part !== null && $part !== ''));
    }

    private static function spaced(?string $order): ?string
    {
        return $order === null ? null : implode(' ', str_split($order));
    }

    private static function remap(Module $module, ?RigDocument $rig): string
    {
        if ($module->expects === null) {
            return 'sends as received';
        }

        return ($rig?->remapIsOn($module->id, $module->remapOn) ?? $module->remapOn) ? 'remaps' : 'sends as received';
    }

    private static function turns(Converter $converter): string
    {
        [$from, $to] = [$converter->input->format->name, $converter->output->format->name];

        return $from !== $to ? "$from to $to" : "$from, ".($converter->output->polarity === 'flipped' ? 'flipped' : 'as it comes in');
    }

    private static function outputs(Receiver $receiver): string
    {
        $first = $receiver->outputs[0] ?? null;

        return match (true) {
            $first === null => 'no output known',
            $first->isPwm() => ($first->pins === null ? 'pins' : "$first->pins pins").($first->labels === null ? '' : ' '.implode(' ', array_slice($first->labels, 0, 4))),
            default => $first->format->name,
        };
    }

    private static function servos(ServoSet $set): string
    {
        $motors = count(array_filter($set->functions, static fn (string $function): bool => $function === 'throttle'));
        $servos = count($set->functions) - $motors;

        return implode(', ', array_filter([
            $servos === 0 ? null : $servos.($servos === 1 ? ' servo' : ' servos'),
            $motors === 0 ? null : $motors.($motors === 1 ? ' motor' : ' motors'),
        ], static fn (?string $part): bool => $part !== null));
    }
}
