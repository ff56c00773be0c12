<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

/** A dance in which each move was asked for: whatever moved belongs to the prompt in whose time most of it lies. */
final readonly class PromptedReading
{
    /** @var list<list<Way>> By move of the script. */
    private array $ways;

    /**
     * @param  list<Move>  $script
     * @param  list<Prompt>  $prompts
     * @param  list<Way>  $ways  Of all channels, in the order of their time.
     */
    public function __construct(private array $script, array $prompts, array $ways)
    {
        $byMove = array_fill(0, count($script), []);
        foreach ($ways as $way) {
            $prompt = self::promptOf($way, $prompts);
            if ($prompt !== null) {
                $byMove[$prompt->move][] = $way;
            }
        }
        $this->ways = $byMove;
    }

    /** @return list<MoveRead> One for each move of the script. */
    public function moves(): array
    {
        return array_map($this->move(...), $this->script, $this->ways);
    }

    /** @return list<Way> What moved while hands were off. */
    public function atRest(): array
    {
        return array_merge(...array_map(static fn (Move $move, array $ways): array => $move->kind === MoveKind::Rest ? $ways : [], $this->script, $this->ways));
    }

    /** @param  list<Way>  $ways */
    private function move(Move $move, array $ways): MoveRead
    {
        if ($move->kind === MoveKind::Rest) {
            return MoveRead::rest();
        }
        if ($ways === []) {
            return MoveRead::notSeen();
        }
        $event = Event::of($ways);
        $attempts = $event->as($move);

        return $attempts === null ? MoveRead::unclear($event) : MoveRead::of($event, $attempts);
    }

    /** @param  list<Prompt>  $prompts */
    private static function promptOf(Way $way, array $prompts): ?Prompt
    {
        [$best, $most] = [null, 0.0];
        foreach ($prompts as $prompt) {
            $share = $prompt->shareOf($way->fromMs, $way->toMs);
            if ($share > $most) {
                [$best, $most] = [$prompt, $share];
            }
        }

        return $best;
    }
}
