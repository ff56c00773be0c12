<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/** A history read as a person remembers it: thirteen entries for one set of windows are one. Nothing is left out of it. */
final readonly class HistoryRuns
{
    /** Fewer entries stand by themselves. */
    private const LEAST = 3;

    /** With more time in between (s) somebody came back to it. */
    private const APART_S = 600;

    /** Places that are set together. */
    private const TOGETHER = ['settings.switches' => 'settings.windows', 'settings.colours' => 'settings.colours', 'settings.told' => 'settings.told', 'settings.done' => 'settings.done'];

    private const NAMES = ['settings.windows' => 'Switches and windows', 'settings.told' => 'What was said of it', 'settings.done' => 'Ticked off'];

    /** @return array<int, HistoryRun> The run of an entry, by position; those that stand by themselves have none. */
    public static function of(RigLog $log): array
    {
        [$runs, $open, $about, $at] = [[], [], null, 0];
        foreach ($log->entries as $position => $entry) {
            $subject = self::subject($entry);
            $time = (int) strtotime((new Node($entry))->textOrNull('at') ?? '');
            if ($subject === null || $subject !== $about || $time - $at > self::APART_S) {
                $runs += self::run($open, $about);
                $open = [];
            }
            [$about, $at] = [$subject, $time];
            $open[] = $position;
        }

        return $runs + self::run($open, $about);
    }

    /**
     * @param  list<int>  $positions
     * @return array<int, HistoryRun>
     */
    private static function run(array $positions, ?string $about): array
    {
        $count = count($positions);
        if ($about === null || $count < self::LEAST) {
            return [];
        }
        $name = self::NAMES[$about] ?? PlaceNames::of($about);

        return array_fill_keys($positions, new HistoryRun($positions[$count - 1], "$name: $count changes in one go"));
    }

    /** The one thing that an entry changed; null: several, nothing, or it is no change. */
    private static function subject(\stdClass $entry): ?string
    {
        if (($entry->kind ?? null) !== EntryKind::Change->value) {
            return null;
        }
        $places = [];
        foreach (['before', 'after', 'lists'] as $side) {
            foreach (array_keys(get_object_vars((object) ($entry->{$side} ?? new \stdClass))) as $place) {
                $parts = explode('.', (string) $place);
                $whole = implode('.', array_slice($parts, 0, 2));
                $places[self::TOGETHER[$whole] ?? $whole] = true;
            }
        }

        return count($places) === 1 ? (string) array_key_first($places) : null;
    }
}
