<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Rig\RigDocument;

/** The sheet as somebody would read it out; what is not settled stands in brackets. */
final class SheetText
{
    public static function of(RigDocument $rig): string
    {
        $lines = [];
        foreach (DemoRigs::review($rig)['sheet'] as $section) {
            $lines[] = $section['title'];
            foreach ($section['rows'] as $row) {
                $lines[] = '  '.($row['state'] === 'known' ? '' : "[{$row['state']}] ")."{$row['label']}: {$row['value']}";
            }
        }

        return implode("\n", $lines)."\n";
    }
}
