<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Gear\Box;

/** Where settings stand in the menus of the boxes at hand, in the words that their cards keep. */
final readonly class MenuWords
{
    public function __construct(private RigDocument $rig)
    {
    }

    /** One sentence for each box that has words for it; null: no card has any. */
    public function of(MenuTopic $topic): ?string
    {
        $sentences = array_filter(array_map(fn (Box $box): ?string => $this->at($box, $topic), $this->rig->boxes->all));

        return $sentences === [] ? null : implode(' ', $sentences);
    }

    private function at(Box $box, MenuTopic $topic): ?string
    {
        $names = $this->rig->card($box->id())?->node()->node('setting_names');
        $known = [];
        foreach ($topic->settings() as $setting => $plain) {
            $own = $names?->textOrNull($setting);
            if ($own !== null) {
                $known[] = "$plain: $own";
            }
        }

        return $known === [] ? null : "{$box->name()} – ".implode('; ', $known).'.';
    }
}
