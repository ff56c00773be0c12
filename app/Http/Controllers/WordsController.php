<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use Illuminate\Http\JsonResponse;
use Linguator\Core\Document\Plain;
use Linguator\Core\Search\Glossary;

/** The words of the work and what they mean. */
final readonly class WordsController
{
    public function __invoke(): JsonResponse
    {
        return Answer::json(Plain::of((object) ['words' => Glossary::words()]));
    }
}
