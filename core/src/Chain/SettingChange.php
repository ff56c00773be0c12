<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** One thing to set in one box, where it differs from how the box is delivered. */
final readonly class SettingChange implements \JsonSerializable
{
    public function __construct(public string $box, public string $setting, public string|float|bool $to)
    {
    }

    /** As documents have it: 22, not 22.0. */
    public function value(): string|float|int|bool
    {
        return is_float($this->to) && floor($this->to) === $this->to && abs($this->to) < 1e15 ? (int) $this->to : $this->to;
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) ['box' => $this->box, 'setting' => $this->setting, 'to' => $this->value()];
    }
}
