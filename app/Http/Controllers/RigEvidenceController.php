<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepAttachment;
use App\Actions\ReadCapture;
use App\Actions\UseCapture;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Capture;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Plain;
use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Signal\FlagEvidence;
use Linguator\Core\Signal\Recognised;
use Linguator\Core\Signal\ValueLog;
use Linguator\Core\Steps\Travel\TravelReview;

/** A capture as evidence for a rig: kept with its history, read as travel, or as what a cut link did. */
final readonly class RigEvidenceController
{
    public function __construct(private ReadCapture $read, private UseCapture $use)
    {
    }

    public function __invoke(Request $request, Rig $rig): JsonResponse
    {
        $document = RequestDocument::of($request);
        $capture = Capture::onDesk($document->int('capture'), 'capture');
        $decoding = $this->read->decode($capture, (object) $document->map('options'));
        $values = static fn (): Recognised|ValueLog => $decoding->withValues($capture->name);

        return match ($document->text('use')) {
            'look' => Answer::json($this->look($rig, $capture, $values())),
            'attach' => RigAnswer::of($this->use->attach($rig, $document->int('revision'), $capture, $decoding)),
            'travel' => RigAnswer::of($this->use->travel($rig, $document->int('revision'), $document->integers('channels'), $capture, $values())),
            'failsafe' => RigAnswer::of($this->use->failsafe($rig, $document->int('revision'), $document->int('hop'), $document->flag('passed'), $document->text('by', ''), $capture, $values())),
            default => throw DocumentError::at('use', 'Expected look, attach, travel or failsafe.'),
        };
    }

    /** @return array<string, mixed> What this capture could be used for. */
    private function look(Rig $rig, Capture $capture, Recognised|ValueLog $decoding): array
    {
        $document = $rig->rig();
        $travel = new TravelReview($document);
        $sticks = [];
        foreach ($this->use->readings($capture, $decoding) as $channel => $reading) {
            $row = $travel->row($channel);
            if ($row !== null) {
                $sticks[] = ['channel' => $channel, 'name' => $row->function] + Plain::object($reading);
            }
        }

        return [
            'revision' => $rig->revision,
            'keeps_file' => $capture->size <= KeepAttachment::MAX_BYTES,
            'travel' => $sticks,
            'failsafe' => array_map(static fn (FailsafeHop $hop): array => ['hop' => $hop->number, 'expected' => $hop->outcome()->sentence()], (new FailsafeReview($document))->hops),
            'observed' => FlagEvidence::sentence($decoding),
        ];
    }
}
