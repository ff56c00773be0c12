<?php

declare(strict_types=1);

namespace Linguator\Core\Practice;

use Linguator\Core\Diagnosis\Diagnosis;
use Linguator\Core\Diagnosis\Observation;
use Linguator\Core\Diagnosis\Suspect;

/** A game played as `diagnose` asks, told step by step. */
final class AutoPlay
{
    private const NAMED = 3;

    /** @return \Generator<int, \stdClass> The complaint, every test with what was thought of after it, every name, and the review. */
    public static function through(Game $game): \Generator
    {
        yield (object) ['step' => 'complaint', 'says' => $game->complaint()->says];
        [$moves, $mended] = [[], []];
        $play = new Play($game, []);
        while (! $play->isOver()) {
            $seen = $game->complained($mended);
            $diagnosis = $game->diagnosis($seen, $mended);
            while (! $diagnosis->isSure() && ($next = $diagnosis->next()?->test) !== null) {
                $moves[] = Move::test($next);
                $play = new Play($game, $moves);
                $step = $play->steps[count($play->steps) - 1];
                $seen[] = new Observation($next, (string) $step->outcome);
                $diagnosis = $game->diagnosis($seen, $mended);
                yield (object) ['step' => 'test', 'test' => $next, 'outcome' => $step->outcome, 'seen' => $step->seen, 'minutes' => $step->minutes, 'gain_bits' => round((float) $step->gainBits, 3), 'causes' => self::named($diagnosis)];
            }
            $cause = $diagnosis->suspects()[0]->cause;
            $moves[] = Move::name($cause);
            $play = new Play($game, $moves);
            yield (object) ['step' => 'name', 'cause' => $cause, 'right' => in_array($cause, $play->found, true)];
            if (! in_array($cause, $play->found, true)) {
                break;
            }
            $mended[] = $cause;
        }
        $review = Review::of($play);
        yield (object) ['step' => 'review', 'truth' => $game->hidden, 'found' => $play->found, 'minutes' => $play->minutes, 'best_minutes' => $review->best->minutes, 'score' => $review->score];
    }

    /** @return list<\stdClass> The likeliest. */
    private static function named(Diagnosis $diagnosis): array
    {
        return array_map(static fn (Suspect $suspect): \stdClass => (object) ['cause' => $suspect->cause, 'p' => round($suspect->p, 3)], array_slice($diagnosis->suspects(), 0, self::NAMED));
    }
}
