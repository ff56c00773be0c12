<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DuplicateRig;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\Duplicate;

final readonly class RigDuplicateController
{
    public function __invoke(Request $request, Rig $rig, DuplicateRig $duplicate): JsonResponse
    {
        $document = RequestDocument::of($request);
        $receiver = $document->text('receiver', '');

        return RigAnswer::of($duplicate($rig, new Duplicate(trim($document->text('name')), $receiver === '' ? null : $receiver)), 201);
    }
}
