<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepGame;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\PracticeGame;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\DryBenchShown;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Practice\PracticeQuestion;
use Linguator\Core\Practice\PracticeShown;
use Linguator\Core\Rig\RigDocument;

/** Practice: a fault hidden in a rig, and everything done to find it. The screen tells every move so far; the truth stays here till the end. */
final readonly class PracticeController
{
    /** Games that are listed. */
    private const LISTED = 200;

    public function __construct(private Formats $formats, private Schemas $schemas)
    {
    }

    public function play(Request $request, RigDocument $runnable): JsonResponse
    {
        $question = new PracticeQuestion($this->told($request));

        return Answer::json(Plain::of(new PracticeShown($question->playedOn($runnable, $this->formats), $question->seed(), $question->level())));
    }

    /** The dry bench with the fault in it, once it was opened. */
    public function look(Request $request, RigDocument $runnable): JsonResponse
    {
        $told = $this->told($request);
        $play = (new PracticeQuestion($told))->playedOn($runnable, $this->formats);
        if (! $play->hasLooked) {
            throw DocumentError::at('moves', 'The dry bench was not opened in this game.', 'not_open');
        }

        return Answer::json(Plain::of((new DryBenchShown($runnable, $this->formats))->in($play->game->world($play->found), $told->node('hands') ?? new Node(new \stdClass))));
    }

    public function keep(Request $request, Rig $rig, KeepGame $keep): JsonResponse
    {
        $told = $this->told($request);
        $question = new PracticeQuestion($told);

        return Answer::json($keep($rig, $question->playedOn($rig->whole(), $this->formats), $question, trim($told->textOrNull('player') ?? ''))->listed(), 201);
    }

    public function results(): JsonResponse
    {
        return Answer::json(['games' => array_map(static fn (PracticeGame $game): array => $game->listed(), PracticeGame::latestOnes(self::LISTED))]);
    }

    private function told(Request $request): Node
    {
        return new Node($this->schemas->check(RequestDocument::of($request)->whole(), 'practice-question.schema.json'));
    }
}
