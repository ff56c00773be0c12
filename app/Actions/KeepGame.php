<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PracticeGame;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Bench\WriteNote;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Practice\Play;
use Linguator\Core\Practice\PracticeQuestion;
use Linguator\Core\Practice\Review;

/** A game that is over goes into the list of those played, and with a name into the history of its rig. */
final readonly class KeepGame
{
    public function __construct(private DoToRig $do)
    {
    }

    /** @throws DocumentError at `moves` while it goes on. */
    public function __invoke(Rig $rig, Play $play, PracticeQuestion $question, string $player): PracticeGame
    {
        if (! $play->isOver()) {
            throw DocumentError::at('moves', 'The game goes on; expected it to be over.', 'not_over');
        }
        $review = Review::of($play);

        return DB::transaction(function () use ($rig, $play, $question, $player, $review): PracticeGame {
            if ($player !== '') {
                $note = WriteNote::read(new Node((object) ['text' => $review->sentence($player, $question->seed(), $question->level())]));
                ($this->do)($rig, $rig->revision, $note);
            }

            return PracticeGame::query()->create([
                'rig' => $rig->name, 'seed' => $question->seed(), 'level' => $question->level()->value, 'minutes' => $play->minutes,
                'best_minutes' => $review->best->minutes, 'score' => $review->score, 'is_won' => $review->isWon, 'player' => $player,
            ]);
        });
    }
}
