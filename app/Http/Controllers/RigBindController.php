<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Rig\BindChange;
use Linguator\Core\Rig\RigReview;

/** Attempts at binding, and the proof that it worked. */
final readonly class RigBindController
{
    public function __construct(private ChangeRig $change)
    {
    }

    public function attempt(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $bind = new BindChange($rig->rig(), (new RigReview($rig->rig()))->bind());
        $attempt = $bind->attempt($document->map('attempt'), now()->format('Y-m-d\TH:i:s\Z'));

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $bind->logged($attempt), $bind->sentence($attempt), 'attempt'));
    }

    public function proof(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $bind = new BindChange($rig->rig(), (new RigReview($rig->rig()))->bind());
        $passed = $document->flag('passed');
        $patch = $bind->proof($document->int('hop'), $passed, now()->format('Y-m-d\TH:i:s\Z'));

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, $passed ? 'Bind proven: the light follows the handset' : 'Bind not proven: the light does not follow the handset', 'test'));
    }
}
