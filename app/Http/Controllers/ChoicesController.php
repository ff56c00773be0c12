<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Bench\Choices;
use Linguator\Core\Document\Plain;

/** What screens offer to choose from. */
final readonly class ChoicesController
{
    public function __invoke(): JsonResponse
    {
        return Answer::json(Plain::of(new Choices));
    }
}
