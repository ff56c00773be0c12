<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\SettingChange;
use Linguator\Core\Wire\WireFormats;

/** Settings and their values as a person reads them: as the box's own card names them, else in plain words. */
final readonly class SettingNames
{
    private const PLAIN = [
        'internal_radio' => 'Radio inside',
        'radio' => 'Radio',
        'bay' => 'Module bay',
        'trainer' => 'Trainer socket',
        'protocol' => 'Protocol',
        'frame_ms' => 'Frame period',
        'channel_mode' => 'Channels sent',
        'rate' => 'Frame period on the wire',
        'input' => 'Input',
        'output_mode' => 'Output mode',
        'remap' => 'Remapping',
        'order' => 'Channel order',
        'controller_order' => 'Channel order',
    ];

    public function __construct(private RigDocument $rig)
    {
    }

    public function name(string $box, string $setting): string
    {
        $named = $this->rig->card($box)?->node()->node('setting_names')?->textOrNull($setting);

        return $named ?? self::PLAIN[$setting] ?? $setting;
    }

    public function value(string $setting, string|float|int|bool $to): string
    {
        return match (true) {
            is_bool($to) => $to ? 'on' : 'off',
            in_array($setting, ['frame_ms', 'rate'], true) && ! is_string($to) => "$to ms",
            in_array($setting, ['bay', 'trainer', 'input'], true) => WireFormats::get((string) $to)->name,
            $setting === 'protocol' => self::air((string) $to),
            in_array($setting, ['order', 'controller_order'], true) => implode(' ', str_split((string) $to)),
            $setting === 'channel_mode' => str_replace('-', '–', (string) $to),
            default => (string) $to,
        };
    }

    /** A way from box to box as people say it: what is in the air, or the wire format. */
    public static function way(string $via): string
    {
        return str_contains($via, '/') ? self::air($via) : WireFormats::get($via)->name;
    }

    /** A protocol as people say it: family/variant, without the family where the variant names it already. */
    public static function air(string $via): string
    {
        $parts = explode('/', $via, 2);
        $variant = $parts[1] ?? $parts[0];

        return str_starts_with($variant, $parts[0]) ? $variant : "$parts[0], $variant";
    }

    /** @return array<string, string> */
    public function plainNames(): array
    {
        return self::PLAIN;
    }

    public function change(SettingChange $change): SettingToMake
    {
        $to = $change->value();

        return new SettingToMake(
            $change->box,
            $this->rig->nameOf($change->box),
            $change->setting,
            $to,
            $this->name($change->box, $change->setting),
            $this->value($change->setting, $to),
            $this->rig->isDone($change->box, $change->setting, $to),
        );
    }
}
