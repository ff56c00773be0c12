<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** A dance that nobody prompted: every reading that keeps the order of the script is considered, and only what all of them say is said. */
final readonly class FreeReading
{
    /** Two that overlap by more than this share of the shorter one moved together. */
    private const TOGETHER = 0.3;

    /** @var list<Event> */
    private array $events;

    /**
     * @param  list<Move>  $script
     * @param  list<Way>  $ways  Of all channels, in the order of their time.
     */
    public function __construct(private array $script, array $ways)
    {
        $this->events = self::events($ways);
    }

    /** @return list<MoveRead> One for each move of the script. */
    public function moves(): array
    {
        $asked = array_keys(array_filter($this->script, static fn (Move $move): bool => $move->kind !== MoveKind::Rest));
        [$events, $fits] = [[], []];
        foreach ($this->events as $event) {
            $row = array_map(fn (int $k): ?Attempts => $event->as($this->script[$k]), $asked);
            // What is no move of the script at all is not read as one.
            if (array_filter($row) !== []) {
                [$events[], $fits[]] = [$event, $row];
            }
        }
        $readings = array_combine($asked, $this->readings($fits, count($asked)));

        return array_map(static function (int $k, Move $move) use ($readings, $events): MoveRead {
            [$possible, $maySkip] = $readings[$k] ?? [[], false];
            $event = $events[$possible[0] ?? -1] ?? null;
            $attempts = $event?->as($move);

            return match (true) {
                $move->kind === MoveKind::Rest => MoveRead::rest(),
                $event === null || $attempts === null => MoveRead::notSeen(),
                count($possible) > 1 || $maySkip => MoveRead::unclear(null),
                default => MoveRead::of($event, $attempts),
            };
        }, array_keys($this->script), $this->script);
    }

    /**
     * Which events a move may be, and whether it may have been left out, over all readings in which every event is a move of the script in
     * its order. Where there is no such reading, all that fit stay possible and nothing is certain.
     *
     * @param  list<list<Attempts|null>>  $fits  By event and move.
     * @return list<array{list<int>, bool}> By move.
     */
    private function readings(array $fits, int $moves): array
    {
        $events = count($fits);
        $before = self::reachable($fits, $events, $moves);
        $after = array_map(array_reverse(...), array_reverse(self::reachable(array_reverse(array_map(array_reverse(...), $fits)), $events, $moves)));
        $isReading = $before[$events][$moves];
        $readings = [];
        for ($m = 0; $m < $moves; $m++) {
            [$possible, $maySkip] = [[], ! $isReading];
            for ($e = 0; $e <= $events; $e++) {
                if ($e < $events && $fits[$e][$m] !== null && (! $isReading || ($before[$e][$m] && $after[$e + 1][$m + 1]))) {
                    $possible[] = $e;
                }
                $maySkip = $maySkip || ($before[$e][$m] && $after[$e][$m + 1]);
            }
            $readings[] = [$possible, $maySkip];
        }

        return $readings;
    }

    /**
     * Whether the first events can be some of the first moves, in order.
     *
     * @param  list<list<Attempts|null>>  $fits
     * @return list<list<bool>> By how many events and how many moves.
     */
    private static function reachable(array $fits, int $events, int $moves): array
    {
        $can = [array_fill(0, $moves + 1, true)];
        for ($e = 1; $e <= $events; $e++) {
            $row = [false];
            for ($m = 1; $m <= $moves; $m++) {
                $row[] = $row[$m - 1] || ($fits[$e - 1][$m - 1] !== null && $can[$e - 1][$m - 1]);
            }
            $can[] = $row;
        }

        return $can;
    }

    /**
     * @param  list<Way>  $ways
     * @return list<Event>
     */
    private static function events(array $ways): array
    {
        $groups = [];
        foreach ($ways as $way) {
            $last = count($groups) - 1;
            if ($last >= 0 && self::isTogether($groups[$last], $way)) {
                $groups[$last][] = $way;
            } else {
                $groups[] = [$way];
            }
        }
        [$events, $last] = [[], null];
        foreach (array_map(Event::of(...), $groups) as $event) {
            if ($last !== null && $last->channel() === $event->channel()) {
                $last = $last->and($event);
            } else {
                $events = $last === null ? $events : [...$events, $last];
                $last = $event;
            }
        }

        return $last === null ? $events : [...$events, $last];
    }

    /** @param  non-empty-list<Way>  $group */
    private static function isTogether(array $group, Way $way): bool
    {
        foreach ($group as $other) {
            $shared = min($other->toMs, $way->toMs) - max($other->fromMs, $way->fromMs);
            if ($shared > self::TOGETHER * min($other->toMs - $other->fromMs, $way->toMs - $way->fromMs)) {
                return true;
            }
        }

        return false;
    }
}
