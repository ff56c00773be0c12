<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Rig\FailsafeChange;
use Linguator\Core\Rig\RigReview;

/** What is set for the loss of a link, and what was seen when it was cut. */
final readonly class RigFailsafeController
{
    public function __construct(private ChangeRig $change)
    {
    }

    public function set(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$hop, $mode] = [$document->int('hop'), $document->text('mode')];
        $patch = $this->failsafe($rig)->set($hop, $mode, $document->has('set_by') ? $document->text('set_by') : null, $document->has('stored_us') ? $document->items('stored_us') : null, now()->format('Y-m-d\TH:i:s\Z'));

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, "Failsafe of hop $hop set: $mode"));
    }

    public function test(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$hop, $passed, $observed] = [$document->int('hop'), $document->flag('passed'), $document->text('observed', '')];
        $patch = $this->failsafe($rig)->tested($hop, $passed, $observed, $document->text('by', ''), now()->format('Y-m-d\TH:i:s\Z'));
        $text = "Failsafe of hop $hop tested, ".($passed ? 'passed' : 'failed').($observed === '' ? '' : ": $observed");

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, $text, 'test'));
    }

    private function failsafe(Rig $rig): FailsafeChange
    {
        $document = $rig->rig();

        return new FailsafeChange($document, (new RigReview($document))->failsafe());
    }
}
