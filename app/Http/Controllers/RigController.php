<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Actions\Moment;
use App\Actions\TakeOffBench;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Http\RigAnswer;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Bench\BenchOrder;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\RigReader;

final readonly class RigController
{
    public function __construct(private RigReader $reader)
    {
    }

    public function index(): JsonResponse
    {
        $last = RigEntry::latestByRig();
        $rigs = array_map(static fn (Rig $rig): array => [
            'slug' => $rig->slug,
            'changed_at' => $last[$rig->id] ?? Moment::of($rig->updated_at),
        ] + $rig->summary(), Rig::bench());

        return Answer::json(['rigs' => BenchOrder::of($rigs)]);
    }

    public function show(Rig $rig): JsonResponse
    {
        return RigAnswer::of($rig);
    }

    public function store(Request $request, ImportRig $import): JsonResponse
    {
        $document = RequestDocument::of($request);
        $blank = RigDocument::blank(trim($document->text('name')), $document->text('craft_kind'));
        $blank->uid = ImportRig::newUid();

        return RigAnswer::of($import($this->reader->fromDocument($blank)), 201);
    }

    public function update(Request $request, Rig $rig, ChangeRig $change): JsonResponse
    {
        $document = RequestDocument::of($request);
        $patch = RigPatch::of($document->map('set'), $document->texts('clear'));

        return RigAnswer::of($change($rig, $document->int('revision'), $patch, $document->text('text')));
    }

    /** With the revision that the page has read, a rig that has been changed since stays. */
    public function destroy(Request $request, Rig $rig, TakeOffBench $takeOff): JsonResponse
    {
        $revision = str_starts_with(ltrim($request->getContent()), '{') ? RequestDocument::of($request)->intOrNull('revision') : null;

        return Answer::json($takeOff($rig, $revision));
    }
}
