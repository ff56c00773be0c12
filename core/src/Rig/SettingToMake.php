<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** One thing to set in one box, as its card names it, and whether somebody has said that it is done. */
final readonly class SettingToMake
{
    public function __construct(
        public string $box,
        public string $boxName,
        public string $setting,
        public string|float|int|bool $to,
        public string $name,
        public string $value,
        public bool $done,
    ) {
    }
}
