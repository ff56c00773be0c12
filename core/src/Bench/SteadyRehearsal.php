<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** The stand-in holds each stick or switch of a rig in turn, as readings by holding ask for them, to try it out without gear. */
final readonly class SteadyRehearsal
{
    /** Longer than somebody takes to read what is asked and for the value to be taken (ms). */
    private const HOLD_MS = 2600.0;

    private const MOVE_MS = 300.0;

    /** Where a stick goes for a side of its reading, percent. */
    private const SIDES = ['lo' => -100, 'mid' => 0, 'hi' => 100];

    public function __construct(private RigDocument $rig, private Formats $formats)
    {
    }

    /**
     * @param  string  $kind  `stick` or `switch`, as `RigSteady` asks.
     * @return list<\stdClass> Rows of `t_ms` and `us`.
     *
     * @throws DocumentError if the rig cannot be run, or is asked for something else.
     */
    public function held(string $kind): array
    {
        if (! in_array($kind, ['stick', 'switch'], true)) {
            throw DocumentError::at('kind', "Found $kind; expected stick or switch.");
        }
        $hands = new StandInHands($this->rig, new Node(new \stdClass), $this->formats);
        $hands->hold(self::MOVE_MS);
        foreach (array_map(static fn (\stdClass $one): Node => new Node($one), (new RigSteady($this->rig))->asks()) as $ask) {
            foreach ($ask->text('kind') === $kind ? $ask->nodes('holds') : [] as $hold) {
                $hands->move($this->controls($ask->text('function'), $hold->text('side')), self::MOVE_MS);
                $hands->hold(self::HOLD_MS);
            }
        }
        $hands->move([], self::MOVE_MS);
        $hands->hold(self::HOLD_MS);

        return $hands->log(0);
    }

    /** @return array<string, array<string, int>> */
    private function controls(string $function, string $side): array
    {
        $letter = Letter::ofFunction($function);
        if (isset(self::SIDES[$side])) {
            return $letter === null ? [] : ['sticks' => [$letter->value => self::SIDES[$side]]];
        }
        foreach ($this->rig->switches() as $setting) {
            if ($setting->function === $function && $setting->switchId !== null) {
                return ['switches' => [$setting->switchId => (int) $side]];
            }
        }

        return [];
    }
}
