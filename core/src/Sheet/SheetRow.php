<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Rig\MenuTopic;
use Linguator\Core\Rig\MenuWords;
use Linguator\Core\Rig\RigDocument;

/** One line of the sheet. */
final readonly class SheetRow
{
    /** @param  string  $key  By which it is known again when it changes. */
    public function __construct(public string $key, public string $label, public string $value, public RowState $state = RowState::Known)
    {
    }

    /** @return list<self> Where the menus have it; none where no card says. */
    public static function where(MenuTopic $topic, RigDocument $rig): array
    {
        $words = (new MenuWords($rig))->of($topic);

        return $words === null ? [] : [new self("menu/$topic->value", 'In the menus', $words)];
    }
}
