<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** One thing to set in one box, where it differs from how the box is delivered. */
final readonly class SettingChange
{
    public function __construct(public string $box, public string $setting, public string|float|bool $to)
    {
    }

    /** @return array{box: string, setting: string, to: string|float|int|bool} */
    public function toArray(): array
    {
        $to = is_float($this->to) && floor($this->to) === $this->to && abs($this->to) < 1e15 ? (int) $this->to : $this->to;

        return ['box' => $this->box, 'setting' => $this->setting, 'to' => $to];
    }
}
