<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Likeness\LikePartKey;
use Linguator\Core\Likeness\LikeThat;

/** "Like that rig, but": what differs from another rig, part by part, and taking lines of it over. */
final readonly class LikeController
{
    public function show(Rig $rig, Rig $other): JsonResponse
    {
        return Answer::json(Plain::of((object) ['name' => $other->name, 'parts' => (new LikeThat($rig->rig(), $other->rig()))->parts()]));
    }

    public function take(Request $request, Rig $rig, Rig $other, ChangeRig $change): JsonResponse
    {
        $document = RequestDocument::of($request);
        $part = LikePartKey::tryFrom($document->text('part')) ?? throw DocumentError::at('part', 'Expected one of '.implode(', ', array_column(LikePartKey::cases(), 'value')).'.', 'no_such_part');
        $deed = (new LikeThat($rig->rig(), $other->rig()))->taking($part, $document->texts('keys'));

        return RigAnswer::of($change($rig, $document->int('revision'), $deed->patch, $deed->sentence, $deed->kind));
    }
}
