<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskVerb;
use App\Http\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Verb\DecodeVerb;
use Linguator\Core\Verb\Verbs;

final readonly class VerbController
{
    public function index(): JsonResponse
    {
        return Answer::json(['verbs' => array_map(static fn (string $class): string => $class::summary(), Verbs::all()) + [DecodeVerb::NAME => DecodeVerb::SUMMARY]]);
    }

    public function ask(Request $request, string $verb, AskVerb $ask): JsonResponse
    {
        return Answer::json($ask($verb, $request->getContent()));
    }
}
