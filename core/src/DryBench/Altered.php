<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;

/** A rig that is set up otherwise than its record says: the same document with one thing changed. */
final class Altered
{
    public static function setting(RigDocument $rig, string $key, mixed $value): RigDocument
    {
        $settings = clone $rig->settings()->value;
        $settings->{$key} = $value;

        return self::settings($rig, $settings);
    }

    public static function remap(RigDocument $rig, string $module, bool $isOn): RigDocument
    {
        $remap = clone ($rig->settings()->node('remap')->value ?? new \stdClass);
        $remap->{$module} = $isOn;

        return self::setting($rig, 'remap', $remap);
    }

    /**
     * What is recorded of a channel of the handset.
     *
     * @param  \Closure(\stdClass): void  $change
     */
    public static function channel(RigDocument $rig, int $channel, \Closure $change): RigDocument
    {
        return self::entry($rig, 'channels', 'channel', $channel, $change);
    }

    /**
     * What is recorded of the failsafe of a hop.
     *
     * @param  \Closure(\stdClass): void  $change
     */
    public static function failsafe(RigDocument $rig, int $hop, \Closure $change): RigDocument
    {
        return self::entry($rig, 'failsafe', 'hop', $hop, $change);
    }

    /**
     * The card of the box at a position.
     *
     * @param  \Closure(\stdClass): void  $change
     */
    public static function card(RigDocument $rig, int $position, \Closure $change): RigDocument
    {
        $document = clone $rig->document;
        $chain = $rig->node()->items('chain');
        $card = $chain[$position];
        assert($card instanceof \stdClass);
        $chain[$position] = clone $card;
        $change($chain[$position]);
        $document->chain = $chain;

        return RigDocument::of($document, $rig->log());
    }

    /** @param  \Closure(\stdClass): void  $change */
    private static function entry(RigDocument $rig, string $list, string $key, int $number, \Closure $change): RigDocument
    {
        $entries = array_map(static fn (Node $entry): \stdClass => $entry->value, $rig->settings()->nodes($list));
        foreach ($entries as $k => $entry) {
            if (($entry->{$key} ?? null) === $number) {
                $entries[$k] = clone $entry;
                $change($entries[$k]);

                return self::setting($rig, $list, $entries);
            }
        }
        $entry = (object) [$key => $number];
        $change($entry);

        return self::setting($rig, $list, [...$entries, $entry]);
    }

    private static function settings(RigDocument $rig, \stdClass $settings): RigDocument
    {
        $document = clone $rig->document;
        $document->settings = $settings;

        return $rig->withSameChain($document);
    }
}
