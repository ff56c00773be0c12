<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Bench\KnownFaults;
use Linguator\Core\Bench\RigSymptoms;
use Linguator\Core\Document\Plain;

/** What is known of faults, and what a rig says of itself when one is looked for. */
final readonly class DiagnosisController
{
    public function known(): JsonResponse
    {
        return Answer::json(Plain::of(new KnownFaults));
    }

    public function symptoms(Rig $rig): JsonResponse
    {
        $symptoms = new RigSymptoms($rig->whole());

        return Answer::json(Plain::of((object) ['name' => $rig->whole()->name(), 'parts' => $symptoms->parts(), 'symptoms' => $symptoms->all()]));
    }
}
