<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DoToRig;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\Intents;

/** Whatever a person means to do with a rig, at one address: `intent` names it, `told` says the rest. */
final readonly class RigIntentController
{
    private const LONGEST_NAME = 64;

    public function __invoke(Request $request, Rig $rig, Intents $intents, DoToRig $do): JsonResponse
    {
        $document = RequestDocument::of($request);
        $intent = $intents->read($document->text('intent'), (object) $document->map('told'));

        return RigAnswer::of($do($rig, $document->int('revision'), $intent, $document->shortTextOrNull('once', self::LONGEST_NAME)));
    }
}
