<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Capture;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Rig\KeepCapturedValues;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\DeskView;
use Linguator\Core\Signal\FlagEvidence;
use Linguator\Core\Signal\Readings;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\StickReading;
use Linguator\Core\Signal\Unrecognised;
use Linguator\Core\Signal\ValueLog;
use Linguator\Core\Steps\Failsafe\TestFailsafe;
use Linguator\Core\Steps\Travel\KeepReading;
use Linguator\Core\Steps\Travel\TravelReview;
use Linguator\Core\Travel\Reading;

/** Writes what a capture shows into a rig: all of it, with the capture beside the entry, or nothing. */
final readonly class UseCapture
{
    private const ROWS = 4000;

    public function __construct(private ReadCapture $read, private DoToRig $do, private KeepAttachment $keep)
    {
    }

    /** @return array<int, StickReading> By channel. */
    public function readings(Capture $capture, Recognised|ValueLog $decoding): array
    {
        return Readings::of($this->read->series($capture, $decoding, self::ROWS));
    }

    /** Kept with the history as evidence. */
    public function attach(Rig $rig, int $revision, Capture $capture, Recognised|ValueLog|Unrecognised $decoding): Rig
    {
        $words = "Capture $capture->name: ".DeskView::sentence($decoding);

        return $this->written($capture, $decoding, fn (): Rig => ($this->do)($rig, $revision, new KeepCapturedValues($words)));
    }

    /**
     * Readings of the travel step.
     *
     * @param  list<int>  $channels
     *
     * @throws DocumentError if one of them carries no stick, or is not in the capture.
     */
    public function travel(Rig $rig, int $revision, array $channels, Capture $capture, Recognised|ValueLog $decoding): Rig
    {
        $readings = $this->readings($capture, $decoding);
        $review = new TravelReview($rig->rig());
        foreach ($channels as $k => $channel) {
            if ($review->row($channel) === null || ! isset($readings[$channel])) {
                throw DocumentError::at("channels.$k", "Channel $channel carries no stick of this rig, or is not in the capture.", 'no_such_channel');
            }
        }
        if ($channels === []) {
            throw DocumentError::at('channels', 'Found no channel; expected at least one.', 'missing_key');
        }
        $noise = Readings::noise($decoding);

        return $this->written($capture, $decoding, function () use ($rig, $revision, $channels, $capture, $readings, $noise): Rig {
            foreach ($channels as $k => $channel) {
                $reading = Reading::of($readings[$channel]->lo, $readings[$channel]->mid, $readings[$channel]->hi);
                $rig = ($this->do)($rig, $revision + $k, new KeepReading($channel, $reading, $noise[$channel] ?? null, 'capture', $capture->name));
            }

            return $rig;
        });
    }

    /** What a link did when it was cut, judged by who was there. */
    public function failsafe(Rig $rig, int $revision, int $hop, bool $passed, string $by, Capture $capture, Recognised|ValueLog $decoding): Rig
    {
        $observed = FlagEvidence::sentence($decoding);
        $intent = new TestFailsafe($hop, $passed, $observed, $by, ", by the capture $capture->name");

        return $this->written($capture, $decoding, fn (): Rig => ($this->do)($rig, $revision, $intent));
    }

    /** @param  \Closure(): Rig  $write */
    private function written(Capture $capture, Recognised|ValueLog|Unrecognised $decoding, \Closure $write): Rig
    {
        $content = $capture->size <= KeepAttachment::MAX_BYTES ? (string) stream_get_contents($capture->stream()) : null;
        $answer = Json::pretty(new DecodeAnswer($decoding));

        return DB::transaction(function () use ($capture, $write, $content, $answer): Rig {
            $rig = $write();
            $position = max(0, $rig->lastPosition());
            $at = Moment::now();
            if ($content !== null) {
                $this->keep->capture($rig, $position, $capture->name, $content, $at);
            }
            ($this->keep)($rig, $position, "$capture->name, decoded.txt", $answer, $at);

            return $rig;
        });
    }
}
