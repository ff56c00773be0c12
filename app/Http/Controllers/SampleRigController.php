<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SampleRigs;
use App\Http\Answer;
use Illuminate\Http\JsonResponse;

/** Rigs that can be run and practised on without a bench of one's own. */
final readonly class SampleRigController
{
    public function __invoke(SampleRigs $samples): JsonResponse
    {
        return Answer::json(['samples' => $samples->names()]);
    }
}
