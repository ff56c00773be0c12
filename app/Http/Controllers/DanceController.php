<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\Moment;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\DanceRehearsal;
use Linguator\Core\Bench\DanceScript;
use Linguator\Core\Bench\DanceSetUp;
use Linguator\Core\Bench\RigDance;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** One dance, whole set-up: what to move, what was seen so far, and taking it over. */
final readonly class DanceController
{
    public function __construct(private Formats $formats, private Schemas $schemas)
    {
    }

    public function show(Request $request, Rig $rig): JsonResponse
    {
        return Answer::json(Plain::of(new DanceSetUp($rig->whole(), $this->formats, $request->query('short') === '1')));
    }

    /** What a log shows, whole or while it goes on. */
    public function read(Request $request, Rig $rig): JsonResponse
    {
        $told = RequestDocument::of($request)->whole();
        $known = (new Node($this->schemas->check((object) ['known' => $told->known ?? []], 'dance-known.schema.json')))->nodes('known');
        $dance = $this->dance($rig->whole(), $told);

        return Answer::json(Plain::of((object) (get_object_vars($dance->deduction->answer()) + ['lines' => $dance->lines()] + get_object_vars($dance->signs($known)))));
    }

    /** The dry bench dances by itself, to be tried without gear. */
    public function standIn(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $told = new Node((object) ($document->has('faults') ? ['faults' => array_map(static fn (string $cause): \stdClass => (object) ['cause' => $cause], $document->texts('faults'))] : []));

        return Answer::json((new DanceRehearsal($rig->whole(), $told, $this->formats))->danced($document->intOrNull('seed') ?? 0, $document->flag('short')));
    }

    public function take(Request $request, Rig $rig, ChangeRig $change, Shelf $shelf): JsonResponse
    {
        $document = RequestDocument::of($request);
        $deed = $this->dance($rig->rig(), $document->whole())->taking($document->texts('keys'), trim($document->text('by', '')), new Occasion(Moment::now(), $shelf));

        return RigAnswer::of($change($rig, $document->int('revision'), $deed->patch, $deed->sentence, $deed->kind));
    }

    private function dance(RigDocument $rig, \stdClass $told): RigDance
    {
        $isShort = ($told->short ?? false) === true;
        // Nobody was asked for anything: every reading that keeps the order of the script is weighed.
        if (($told->prompts ?? null) === []) {
            unset($told->prompts);
        }
        $script = array_map(static fn (\JsonSerializable $move): mixed => $move->jsonSerialize(), (new DanceScript($rig, $isShort))->moves());
        $question = (object) (array_intersect_key(get_object_vars($told), ['log' => true, 'prompts' => true]) + ['script' => $script]);

        return new RigDance($rig, new Node($this->schemas->check($question, 'verbs/dance.in.json')), $isShort);
    }
}
