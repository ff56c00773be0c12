<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\DryBenchSetUp;
use Linguator\Core\Bench\DryBenchShown;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;

/** A rig on the dry bench: what stands there, and what it shows while its controls stand like this. */
final readonly class DryBenchController
{
    public function __construct(private Formats $formats, private Schemas $schemas)
    {
    }

    public function show(RigDocument $runnable): JsonResponse
    {
        return Answer::json(Plain::of(new DryBenchSetUp($runnable, $this->formats)));
    }

    public function run(Request $request, RigDocument $runnable): JsonResponse
    {
        $told = $this->schemas->check(RequestDocument::of($request)->whole(), 'dry-bench-question.schema.json');

        return Answer::json(Plain::of((new DryBenchShown($runnable, $this->formats))->at(new Node($told))));
    }
}
