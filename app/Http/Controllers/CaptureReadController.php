<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DecodeProgress;
use App\Actions\ReadCapture;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Capture;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Signal\Comparison;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\DeskView;
use Linguator\Core\Signal\FramePick;
use Linguator\Core\Signal\FrameView;
use Linguator\Core\Signal\Window;

/** What a capture on the desk says: the verb's answer, frames one by one, stretches of its waveform, and two captures beside one another. */
final readonly class CaptureReadController
{
    private const SERIES_ROWS = 4000;

    /** As many as a page keeps of a source that goes on. */
    private const LIVE_ROWS = 20_000;

    public function __construct(private ReadCapture $read)
    {
    }

    public function decode(Request $request, Capture $capture): JsonResponse
    {
        $document = RequestDocument::of($request);
        $progress = DecodeProgress::of($document->text('progress', ''));
        try {
            $decoding = $this->read->decode($capture, (object) $document->map('options'), $progress);
        } finally {
            $progress?->end();
        }

        return Answer::json(['capture' => $capture->listed(), 'answer' => new DecodeAnswer($decoding), 'desk' => new DeskView($decoding)]);
    }

    /** Its values over time, to be played as if they came now, or read as a dance. */
    public function rows(Request $request, Capture $capture): JsonResponse
    {
        $values = $this->read->values($capture, (object) RequestDocument::of($request)->map('options'));

        return Answer::json(['name' => $capture->name, 'is_sound' => $capture->isByEar($values->begin->kind), 'log' => $this->read->series($capture, $values, self::LIVE_ROWS)->whole()]);
    }

    public function progress(Request $request): JsonResponse
    {
        $token = $request->query('token');

        return Answer::json(['progress' => DecodeProgress::of(is_string($token) ? $token : '')?->read()]);
    }

    public function stop(Request $request): JsonResponse
    {
        DecodeProgress::of(RequestDocument::of($request)->text('token'))?->stop();

        return Answer::json(['stopping' => true]);
    }

    public function frame(Request $request, Capture $capture): JsonResponse
    {
        $document = RequestDocument::of($request);
        $begin = $this->read->begin($capture, (object) $document->map('options'));
        $pick = new FramePick(max(0, $document->int('index')), 1);
        $this->read->walk($capture, $begin->kind, $begin->carrier(), $pick);
        if ($pick->picked === []) {
            throw DocumentError::at('index', 'Found no sound frame '.$document->int('index').' in this capture.', 'no_such_frame');
        }

        return Answer::json(new FrameView($begin->carrier(), $pick->picked[0]));
    }

    public function window(Request $request, Capture $capture): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$from, $to] = [$document->number('from_us'), $document->number('to_us')];
        if ($to <= $from || ! is_finite($to - $from)) {
            throw DocumentError::at('to_us', 'Found an end that is not after the begin.');
        }
        $begin = $this->read->begin($capture, (object) $document->map('options'));

        return Answer::json((new Window($begin, $from, $to))->of($this->read->reader($capture, $begin->kind)));
    }

    public function compare(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);
        $sides = [];
        foreach (['a', 'b'] as $side) {
            $told = (object) $document->map($side);
            $capture = Capture::onDesk(is_int($told->id ?? null) ? $told->id : 0, "$side.id");
            $options = $told->options ?? new \stdClass;
            $decoding = $this->read->values($capture, $options instanceof \stdClass ? $options : new \stdClass);
            $sides[] = ['capture' => $capture, 'decoding' => $decoding, 'rows' => $this->read->series($capture, $decoding, self::SERIES_ROWS)];
        }
        [$a, $b] = $sides;

        return Answer::json([
            'a' => ['capture' => $a['capture']->listed(), 'answer' => new DecodeAnswer($a['decoding'])],
            'b' => ['capture' => $b['capture']->listed(), 'answer' => new DecodeAnswer($b['decoding'])],
            'comparison' => new Comparison($a['rows'], $b['rows'], $a['decoding'], $b['decoding']),
        ]);
    }
}
