<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\KeepAttachment;
use App\Actions\ReadCapture;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Capture;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\FailsafeChange;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReview;
use Linguator\Core\Rig\TravelChange;
use Linguator\Core\Rig\TravelReview;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\Decoding;
use Linguator\Core\Signal\DeskView;
use Linguator\Core\Signal\FlagEvidence;
use Linguator\Core\Signal\Readings;
use Linguator\Core\Travel\Reading;

/** A capture as evidence for a rig: kept with its history, read as travel, or as what a cut link did. */
final readonly class RigEvidenceController
{
    private const ROWS = 4000;

    public function __construct(private ReadCapture $read, private ChangeRig $change, private KeepAttachment $keep)
    {
    }

    public function __invoke(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $capture = Capture::query()->find($document->int('capture')) ?? throw DocumentError::at('capture', 'Found no such capture on the desk.', 'no_such_capture');
        assert($capture instanceof Capture);
        $decoding = $this->read->decode($capture, (object) $document->map('options'));
        $use = $document->text('use');
        if ($use === 'look') {
            return Answer::json($this->look($rig, $capture, $decoding));
        }

        // All of it or nothing: the readings of several channels, and the files beside the entry.
        return RigAnswer::of(DB::transaction(function () use ($use, $rig, $document, $capture, $decoding): Rig {
            $changed = match ($use) {
                'attach' => ($this->change)($rig, $document->int('revision'), RigPatch::of([]), self::words($capture, $decoding), 'measurement'),
                'travel' => $this->travel($rig, $document, $capture, $decoding),
                'failsafe' => $this->failsafe($rig, $document, $capture, $decoding),
                default => throw DocumentError::at('use', 'Expected look, attach, travel or failsafe.'),
            };
            $this->attach($changed, $capture, $decoding);

            return $changed;
        }));
    }

    /** @return array<string, mixed> What this capture could be used for. */
    private function look(Rig $rig, Capture $capture, Decoding $decoding): array
    {
        $readings = Readings::of($this->read->series($capture, $decoding, self::ROWS));
        $review = new RigReview($rig->rig());
        $travel = new TravelReview($rig->rig(), $review->chain());
        $sticks = [];
        foreach ($readings as $channel => $reading) {
            $row = $travel->row($channel);
            if ($row !== null) {
                $sticks[] = ['channel' => $channel, 'name' => $row->function] + $reading;
            }
        }

        return [
            'revision' => $rig->revision,
            'travel' => $sticks,
            'failsafe' => array_map(static fn ($hop): array => ['hop' => $hop->number, 'expected' => $hop->outcome()->sentence()], $review->failsafe()->hops),
            'observed' => FlagEvidence::sentence($decoding),
        ];
    }

    private function travel(Rig $rig, RequestDocument $document, Capture $capture, Decoding $decoding): Rig
    {
        $readings = Readings::of($this->read->series($capture, $decoding, self::ROWS));
        $noise = array_column((new DecodeAnswer($decoding))->toArray()['channels'], 'noise_us', 'channel');
        $patch = RigPatch::of([]);
        $words = [];
        $review = new TravelReview($rig->rig(), (new RigReview($rig->rig()))->chain());
        $current = $rig;
        $revision = $document->int('revision');
        foreach ($document->integers('channels') as $k => $channel) {
            if ($review->row($channel) === null || ! isset($readings[$channel])) {
                throw DocumentError::at("channels.$k", "Channel $channel carries no stick of this rig, or is not in the capture.", 'no_such_channel');
            }
            $words[] = sprintf('channel %d %g / %g / %g µs', $channel, $readings[$channel]['lo'], $readings[$channel]['mid'], $readings[$channel]['hi']);
        }
        if ($words === []) {
            throw DocumentError::at('channels', 'Found no channel; expected at least one.', 'missing_key');
        }
        foreach ($document->integers('channels') as $channel) {
            $reading = Reading::of($readings[$channel]['lo'], $readings[$channel]['mid'], $readings[$channel]['hi']);
            $sigma = $noise[$channel] ?? null;
            $patch = (new TravelChange($current->rig()))->reading($channel, $reading, is_float($sigma) ? $sigma : null, 'capture', now()->format('Y-m-d\TH:i:s\Z'));
            $current = ($this->change)($current, $revision++, $patch, "Read from the capture $capture->name: ".array_shift($words), 'measurement');
        }

        return $current;
    }

    private function failsafe(Rig $rig, RequestDocument $document, Capture $capture, Decoding $decoding): Rig
    {
        [$hop, $passed] = [$document->int('hop'), $document->flag('passed')];
        $observed = FlagEvidence::sentence($decoding);
        $rigDocument = $rig->rig();
        $patch = (new FailsafeChange($rigDocument, (new RigReview($rigDocument))->failsafe()))->tested($hop, $passed, $observed, $document->text('by', ''), now()->format('Y-m-d\TH:i:s\Z'));

        return ($this->change)($rig, $document->int('revision'), $patch, "Failsafe of hop $hop tested, ".($passed ? 'passed' : 'failed').", by the capture $capture->name: $observed", 'test');
    }

    /** The capture, if it is small enough, and what was read in it, beside the newest entry. */
    private function attach(Rig $rig, Capture $capture, Decoding $decoding): void
    {
        $position = RigEntry::query()->where('rig_id', $rig->id)->max('position');
        $at = now()->format('Y-m-d\TH:i:s\Z');
        if ($capture->size <= KeepAttachment::MAX_BYTES) {
            $this->keep->capture($rig, is_numeric($position) ? (int) $position : 0, $capture->name, (string) stream_get_contents($capture->stream()), $at);
        }
        ($this->keep)($rig, is_numeric($position) ? (int) $position : 0, "$capture->name, decoded.txt", Json::pretty((new DecodeAnswer($decoding))->toArray()), $at);
    }

    private static function words(Capture $capture, Decoding $decoding): string
    {
        return "Capture $capture->name: ".(new DeskView($decoding))->toArray()['sentence'];
    }
}
