<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Rig\MenuTopic;
use Linguator\Core\Rig\MenuWords;
use Linguator\Core\Rig\RigDocument;

/** Where things stand in the menus of a rig's boxes, a sentence for each step that needs them; null: no card says. */
final readonly class MenusView
{
    public function __construct(
        public ?string $preparation,
        public ?string $binding,
        public ?string $travel,
        public ?string $thresholds,
        public ?string $switches,
        public ?string $rates,
        public ?string $failsafe,
    ) {
    }

    public static function of(RigDocument $rig): self
    {
        $words = new MenuWords($rig);

        return new self(...array_map($words->of(...), array_column(MenuTopic::cases(), null, 'value')));
    }
}
