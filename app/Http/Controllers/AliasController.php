<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NameThings;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Alias;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What the user's manuals call formats, families, variants and plugs. */
final readonly class AliasController
{
    public function __construct(private NameThings $nameThings)
    {
    }

    public function index(): JsonResponse
    {
        $named = Alias::byTarget();
        $entries = [];
        foreach ($this->nameThings->targets() as $key => $entry) {
            $entries[] = $entry + ['aliases' => $named[$key] ?? []];
        }

        return Answer::json(['entries' => $entries]);
    }

    /** All names of one thing; `were` tells which the page has read, so that nobody's are overwritten unseen. */
    public function update(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);
        ($this->nameThings)($document->text('kind'), $document->text('target'), $document->texts('aliases'), $document->has('were') ? $document->texts('were') : null);

        return $this->index();
    }
}
