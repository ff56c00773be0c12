<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Remedy;

/** What a game that is over came to, beside the best way. */
final readonly class Review
{
    /**
     * @param  list<Remedy>  $truth
     * @param  float  $score  Minutes of the best way by the minutes used, at most 1; 0 where it was given up.
     * @param  list<Step>  $steps
     * @param  string  $advice  What to look at next time.
     */
    private function __construct(public bool $isWon, public array $truth, public float $score, public float $minutes, public BestWay $best, public array $steps, public string $advice)
    {
    }

    public static function of(Play $play): self
    {
        $best = BestWay::through($play->game);
        $truth = array_values(array_filter(array_map(Knowledge::shipped()->remedy(...), $play->game->hidden)));
        // As quick as the best way is all there is to win, even where the complaint alone says it.
        $score = match (true) {
            ! $play->isWon() => 0.0,
            $play->minutes <= $best->minutes => 1.0,
            default => $best->minutes / $play->minutes,
        };

        return new self($play->isWon(), $truth, round($score, 3), $play->minutes, $best, $play->steps, self::advice($play));
    }

    /** As it stands in the history of the rig. */
    public function sentence(string $player, string $seed, Level $level): string
    {
        $came = $this->isWon ? sprintf('found in %g minutes, the best way takes %g', $this->minutes, $this->best->minutes) : sprintf('given up after %g minutes', $this->minutes);

        return "Practice by $player: a hidden fault, $level->value, seed $seed: $came.";
    }

    private static function advice(Play $play): string
    {
        $tests = Knowledge::shipped()->tests;
        $wrong = array_filter($play->steps, static fn (Step $step): bool => $step->outcome === 'wrong');
        $guessed = array_filter($play->steps, static fn (Step $step): bool => $step->outcome === 'nothing');
        $lost = null;
        foreach ($play->steps as $step) {
            if (($step->lost ?? 0.0) > ($lost->lost ?? 0.05)) {
                $lost = $step;
            }
        }

        return match (true) {
            $wrong !== [] => 'Name a fault only once what was seen leaves nothing else: a mend in vain costs '.Move::WRONG_MINUTES.' minutes.',
            $guessed !== [] => 'A setting put back on a guess costs its minutes and tells nothing of the rest: test first, then change one thing.',
            $lost !== null && $lost->best !== null && $lost->what !== null => "\"{$tests[$lost->best]->asks}\" would have told more for its minutes than \"{$tests[$lost->what]->asks}\"",
            $play->isGivenUp => 'Ask for what splits most of what is left, the cheapest first.',
            default => 'Every test told about as much as any could have.',
        };
    }
}
