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
use Linguator\Core\Channel\ChannelLogText;
use Linguator\Core\Rig\OrderCheck;
use Linguator\Core\Rig\OrderObservation;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReview;
use Linguator\Core\Verb\Verbs;

/** Judges what was seen to move, and, when asked, keeps it as an order check. */
final readonly class RigOrderController
{
    public function __invoke(Request $request, Rig $rig, Verbs $verbs, ChangeRig $change): JsonResponse
    {
        $document = RequestDocument::of($request);
        $order = (new RigReview($rig->rig()))->order();
        $movement = null;
        if ($document->has('log')) {
            $movement = $verbs->ask('movement', (object) array_filter([
                'log' => ChannelLogText::rows($document->text('log')),
                'sequence' => $document->get('sequence'),
                'expect' => $order->trace?->arriving()->toString(),
            ], static fn (mixed $value): bool => $value !== null));
            $seen = OrderObservation::fromMovement($movement);
        } else {
            $seen = OrderObservation::fromSight($order, $document->map('moved'));
        }
        $check = OrderCheck::of($order, $seen);
        if (! $document->flag('record')) {
            return Answer::json(['rows' => $check->rows, 'passes' => $check->passes(), 'sentence' => $check->sentence(), 'explanation' => $check->explanation(), 'movement' => $movement]);
        }
        $made = OrderObservation::asCheck($check, $order, now()->format('Y-m-d\TH:i:s\Z'));
        $text = $check->passes() ? 'Order checked: each stick moves what it should.' : 'Order checked, failed: '.$check->sentence();

        return RigAnswer::of($change($rig, $document->int('revision'), RigPatch::of([])->adding('checks', [$made]), $text, 'test'));
    }
}
