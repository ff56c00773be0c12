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
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Readiness\CheckKind;
use Linguator\Core\Rig\CheckChange;
use Linguator\Core\Rig\RigReview;

/** Checks made at check-out, and the sign-off. */
final readonly class RigCheckController
{
    public function __construct(private ChangeRig $change)
    {
    }

    public function check(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $kind = CheckKind::tryFrom($document->text('check')) ?? throw DocumentError::at('check', 'Found '.Excerpt::of($document->text('check')).'; expected one of '.implode(', ', array_column(CheckKind::cases(), 'value')).'.');
        if ($kind->step() !== null) {
            throw DocumentError::at('check', "\"$kind->value\" is made in its own step, {$kind->step()}.", 'elsewhere');
        }
        $passed = $document->flag('passed');
        $observed = $document->text('observed', '');
        $patch = (new CheckChange($rig->rig()))->made($kind, null, $passed, null, $observed, $document->text('by', ''), now()->format('Y-m-d\TH:i:s\Z'));
        $text = $kind->title().' checked, '.($passed ? 'holds' : 'failed').($observed === '' ? '' : ": $observed");

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, $text, 'test'));
    }

    public function signOff(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $by = $document->text('by');
        $plain = $rig->rig();
        $patch = (new CheckChange($plain))->signOff((new RigReview($plain))->readiness(), $by, $document->text('note', ''), now()->format('Y-m-d\TH:i:s\Z'));

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, "Signed off by $by", 'sign-off'));
    }
}
