<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Json;

/** Places in a rig's document and what stands there, as a person reads them. */
final class PlaceNames
{
    private const NAMES = [
        'name' => 'Name', 'chain' => 'Chain', 'craft.kind' => 'Kind of craft', 'craft.note' => 'What it is', 'craft.functions' => 'Functions and channels',
        'craft.indoors' => 'Stays in one room', 'craft.motor_off' => 'Where the motor is off', 'settings.order' => "Handset's order", 'settings.controller_order' => "Controller's order",
        'settings.remap' => 'Remapping', 'settings.channels' => 'Ends, sub-trims, directions', 'settings.switches' => 'Switches', 'settings.windows' => 'Windows', 'settings.thresholds' => 'Thresholds',
        'settings.links' => 'Path', 'settings.failsafe' => 'Failsafe', 'settings.receiver_number' => 'Receiver number', 'settings.memory' => 'Model memory', 'settings.power_mw' => 'Power',
        'settings.pack' => "Handset's pack", 'settings.craft_pack' => 'Pack in the craft', 'settings.plugs' => 'Plugs', 'settings.colours' => 'Wire colours', 'settings.stick_mode' => 'Stick mode',
        'settings.school' => 'School of travel', 'settings.centring' => 'Where centres are mended', 'settings.antenna' => 'Antenna', 'settings.targets' => 'Targets', 'settings.variant' => 'Protocol', 'settings.channel_mode' => 'Channels sent',
    ];

    private const LONGEST = 240;

    public static function of(string $place): string
    {
        return self::NAMES[$place] ?? (str_starts_with($place, 'settings.done.') ? 'Done: '.substr($place, 14) : ucfirst(str_replace(['settings.', 'path.', '_'], ['', 'Path: ', ' '], $place)));
    }

    /** A value in a few words. */
    public static function value(string $place, mixed $value): string
    {
        $text = match (true) {
            $value === null => 'not set',
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            $place === 'chain' && is_array($value) => implode(' → ', array_map(static fn (mixed $card): string => $card instanceof \stdClass && is_string($card->name ?? null) ? $card->name : '?', $value)),
            $place === 'settings.channels' && is_array($value) => implode('; ', array_map(self::channel(...), $value)),
            default => Json::compact($value),
        };

        return mb_strlen($text) > self::LONGEST ? mb_substr($text, 0, self::LONGEST - 1).'…' : $text;
    }

    private static function channel(mixed $entry): string
    {
        $values = $entry instanceof \stdClass ? get_object_vars($entry) : [];
        $number = static fn (string $key): string => is_numeric($values[$key] ?? null) ? (string) $values[$key] : '–';

        return "{$number('channel')}: {$number('lo_pct')} / {$number('hi_pct')} %, {$number('subtrim')}".(($values['reversed'] ?? false) === true ? ', reversed' : '');
    }
}
