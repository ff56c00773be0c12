<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\DemoBench;
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

    public function index(DemoBench $demo): JsonResponse
    {
        $last = RigEntry::latestByRig();
        $ofDemo = array_fill_keys($demo->here()['rigs'], true);
        $rigs = array_map(static fn (Rig $rig): array => [
            'slug' => $rig->slug,
            'changed_at' => $last[$rig->id] ?? Moment::of($rig->updated_at),
            'is_archived' => $rig->is_archived,
            'is_demo' => isset($ofDemo[$rig->slug]),
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

    /** Put by, or back among those that need somebody: nothing of the rig changes by it. */
    public function archive(Request $request, Rig $rig): JsonResponse
    {
        $isArchived = RequestDocument::of($request)->flag('is_archived');
        // Past the model: that is no change to the rig.
        Rig::query()->whereKey($rig->id)->toBase()->update(['is_archived' => $isArchived]);

        return Answer::json(['slug' => $rig->slug, 'is_archived' => $isArchived]);
    }

    /** With the revision that the page has read, a rig that has been changed since stays. */
    public function destroy(Request $request, Rig $rig, TakeOffBench $takeOff): JsonResponse
    {
        $revision = str_starts_with(ltrim($request->getContent()), '{') ? RequestDocument::of($request)->intOrNull('revision') : null;

        return Answer::json($takeOff($rig, $revision));
    }
}
