<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Rig\RigPatch;

/** Something to remember that changes no setting. */
final readonly class RigNoteController
{
    private const LONGEST = 2000;

    public function __invoke(Request $request, Rig $rig, ChangeRig $change): JsonResponse
    {
        $document = RequestDocument::of($request);
        $text = trim($document->text('text'));
        if ($text === '' || mb_strlen($text) > self::LONGEST) {
            throw DocumentError::at('text', $text === '' ? 'Found an empty note.' : 'Found '.mb_strlen($text).' characters; expected at most '.self::LONGEST.'.');
        }

        return RigAnswer::of($change($rig, $document->int('revision'), RigPatch::of([]), $text, 'note'));
    }
}
