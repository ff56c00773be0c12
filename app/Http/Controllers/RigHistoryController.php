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
use Linguator\Core\Rig\EntryKind;

final readonly class RigHistoryController
{
    /** Takes the latest change back, or the one at the position given. */
    public function undo(Request $request, Rig $rig, ChangeRig $change): JsonResponse
    {
        $document = RequestDocument::of($request);
        $position = $document->intOrNull('entry') ?? $rig->lastStanding()
            ?? throw DocumentError::at('entry', 'There is nothing to take back.', 'nothing_to_undo');
        $log = $rig->log(max(0, $position));
        $patch = $log->takingBack($position, $rig->plain());
        $text = $log->entries[$position]->text ?? '';

        return RigAnswer::of($change($rig, $document->int('revision'), $patch, 'Taken back: '.(is_string($text) ? $text : 'a change'), EntryKind::Undo, $position));
    }
}
