<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Document\Plain;
use Linguator\Core\Sheet\CraftLabel;

/** The label that goes onto the craft. */
final readonly class LabelController
{
    public function __invoke(Rig $rig): JsonResponse
    {
        return Answer::json(Plain::of((object) ['name' => $rig->whole()->name(), 'rows' => (new CraftLabel($rig->whole()))->rows()]));
    }
}
