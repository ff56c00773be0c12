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
use Linguator\Core\Rig\RigReview;
use Linguator\Core\Rig\TravelChange;
use Linguator\Core\Rig\TravelDrafts;
use Linguator\Core\Rig\TravelReview;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\SubtrimModel;

/** Readings of the travel step: judged while they are typed, kept, and turned into settings. */
final readonly class RigTravelController
{
    public function __construct(private ChangeRig $change)
    {
    }

    /** What the readings being typed would give; nothing is kept. */
    public function preview(Request $request, Rig $rig): JsonResponse
    {
        $drafts = TravelDrafts::of($rig->rig(), RequestDocument::of($request)->map('drafts'));
        $review = new TravelReview($rig->rig(), (new RigReview($rig->rig()))->chain(), $drafts->sound);

        return Answer::json(['travel' => $review->toArray(), 'problems' => (object) $drafts->problems]);
    }

    public function keep(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $channel = $this->channel($rig, $document->int('channel'));
        $reading = Reading::of($document->number('lo'), $document->number('mid'), $document->number('hi'));
        $patch = (new TravelChange($rig->rig()))->reading($channel, $reading, $document->numberOrNull('noise_us'), $document->text('source', ''), now()->format('Y-m-d\TH:i:s\Z'));
        $text = sprintf('Channel %d read: %g / %g / %g µs', $channel, $reading->lo, $reading->mid, $reading->hi);

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, $text, 'measurement'));
    }

    public function take(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $channels = $document->integers('channels');
        $drafts = TravelDrafts::reversing($rig->rig(), $document->integers('reverse'));
        $review = new TravelReview($rig->rig(), (new RigReview($rig->rig()))->chain(), $drafts->sound);
        $patch = (new TravelChange($rig->rig()))->take($review, $channels);

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, 'Ends and sub-trim entered for channel '.implode(', ', $channels)));
    }

    public function copy(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$from, $to] = [$document->int('from'), $document->integers('to')];
        $patch = (new TravelChange($rig->rig()))->copy($from, $to);

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), $patch, "Settings of channel $from copied to channel ".implode(', ', $to)));
    }

    public function model(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $model = SubtrimModel::tryFrom($document->text('model'))
            ?? throw DocumentError::at('model', 'Expected after, before or pivot.');

        return RigAnswer::of(($this->change)($rig, $document->int('revision'), (new TravelChange($rig->rig()))->model($model), "The sub-trim of this handset {$model->label()}"));
    }

    private function channel(Rig $rig, int $channel): int
    {
        $review = new TravelReview($rig->rig(), (new RigReview($rig->rig()))->chain());
        if ($review->row($channel) === null) {
            throw DocumentError::at('channel', "Channel $channel carries no stick of this rig.", 'no_such_channel');
        }

        return $channel;
    }
}
