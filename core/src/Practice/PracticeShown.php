<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Diagnosis\Remedy;

/** A game as whoever plays it sees it: nothing of the truth before it is over. */
final readonly class PracticeShown implements \JsonSerializable
{
    public function __construct(private Play $play, private string $seed, private Level $level)
    {
    }

    public function jsonSerialize(): \stdClass
    {
        $isOver = $this->play->isOver();

        return (object) [
            'rig' => $this->play->game->rig->name(),
            'seed' => $this->seed,
            'level' => $this->level->value,
            'complaint' => $this->play->game->complaint($isOver ? [] : $this->play->found)->says,
            'faults' => $this->level->faults(),
            'found' => count($this->play->found),
            'minutes' => $this->play->minutes,
            'look_minutes' => Move::LOOK_MINUTES,
            'wrong_minutes' => Move::WRONG_MINUTES,
            'has_looked' => $this->play->hasLooked,
            'steps' => $isOver ? $this->play->steps : array_map(static fn (Step $step): Step => $step->whileItGoesOn(), $this->play->steps),
            'tests' => array_map($this->test(...), $this->play->game->tests()),
            'settings' => array_values(array_map(static fn (Setting $one): \stdClass => (object) ['id' => $one->id, 'says' => $one->says, 'minutes' => $one->minutes], $this->play->game->settings())),
            'causes' => array_values(array_filter($this->causes(), fn (Remedy $cause): bool => ! in_array($cause->id, $this->play->game->impossible, true))),
            'is_over' => $isOver,
            'review' => $isOver ? $this->review() : null,
        ];
    }

    private function test(FaultTest $test): \stdClass
    {
        return (object) ['id' => $test->id, 'asks' => $test->asks, 'how' => $test->how, 'minutes' => $test->minutes, 'risk' => $test->risk];
    }

    /** @return list<Remedy> */
    private function causes(): array
    {
        return array_values(array_filter(array_map(Knowledge::shipped()->remedy(...), array_keys(Knowledge::shipped()->causes))));
    }

    private function review(): \stdClass
    {
        $review = Review::of($this->play);

        return (object) ['is_won' => $review->isWon, 'truth' => $review->truth, 'score' => $review->score, 'best' => (object) ['minutes' => $review->best->minutes, 'tests' => $review->best->tests], 'advice' => $review->advice];
    }
}
