<?php

declare(strict_types=1);

use App\Http\Controllers\AliasController;
use App\Http\Controllers\ArchiveController;
use App\Http\Controllers\AttachmentController;
use App\Http\Controllers\CaptureController;
use App\Http\Controllers\CaptureExportController;
use App\Http\Controllers\CaptureReadController;
use App\Http\Controllers\CardController;
use App\Http\Controllers\ChoicesController;
use App\Http\Controllers\ClubController;
use App\Http\Controllers\DanceController;
use App\Http\Controllers\DiagnosisController;
use App\Http\Controllers\DryBenchController;
use App\Http\Controllers\FieldController;
use App\Http\Controllers\FormatController;
use App\Http\Controllers\LabelController;
use App\Http\Controllers\LikeController;
use App\Http\Controllers\LiveController;
use App\Http\Controllers\LogbookController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\ReachController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\RigDocumentController;
use App\Http\Controllers\RigDuplicateController;
use App\Http\Controllers\RigEvidenceController;
use App\Http\Controllers\RigHistoryController;
use App\Http\Controllers\RigIntentController;
use App\Http\Controllers\RigMomentController;
use App\Http\Controllers\RigOrderController;
use App\Http\Controllers\RigPlanController;
use App\Http\Controllers\RigTravelController;
use App\Http\Controllers\SampleRigController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\SteadyController;
use App\Http\Controllers\WordsController;
use Illuminate\Support\Facades\Route;

// What the screens use. It changes things, so it carries the token against forged requests.
// Before anybody is signed in there is no page that could hold a token; foreign pages are refused before that (KnownHost).
Route::withoutMiddleware('web')->group(function (): void {
    Route::get('sign-in', [ClubController::class, 'form']);
    Route::post('sign-in', [ClubController::class, 'signIn']);
});

Route::prefix('api/v1')->group(function (): void {
    Route::get('choices', ChoicesController::class);
    Route::get('faults', [DiagnosisController::class, 'known']);
    Route::get('rigs/{rig}/symptoms', [DiagnosisController::class, 'symptoms']);
    Route::post('rigs/{rig}/symptoms/capture', [DiagnosisController::class, 'capture']);
    Route::get('rigs/{rig}/label', LabelController::class);
    Route::get('rigs/{rig}/dance', [DanceController::class, 'show']);
    Route::post('rigs/{rig}/dance', [DanceController::class, 'read']);
    Route::post('rigs/{rig}/dance/stand-in', [DanceController::class, 'standIn']);
    Route::post('rigs/{rig}/dance/take', [DanceController::class, 'take']);
    Route::get('rigs/{rig}/steady', [SteadyController::class, 'show']);
    Route::post('rigs/{rig}/steady', [SteadyController::class, 'held']);
    Route::post('rigs/{rig}/steady/stand-in', [SteadyController::class, 'standIn']);
    Route::get('rigs/{rig}/like/{other}', [LikeController::class, 'show']);
    Route::post('rigs/{rig}/like/{other}', [LikeController::class, 'take']);
    Route::get('samples', SampleRigController::class);
    Route::get('rigs/{runnable}/dry-bench', [DryBenchController::class, 'show']);
    Route::post('rigs/{runnable}/dry-bench', [DryBenchController::class, 'run']);
    Route::post('rigs/{runnable}/practice', [PracticeController::class, 'play']);
    Route::post('rigs/{runnable}/practice/look', [PracticeController::class, 'look']);
    Route::post('rigs/{rig}/practice/keep', [PracticeController::class, 'keep']);
    Route::get('practice', [PracticeController::class, 'results']);
    Route::get('reach', ReachController::class);
    Route::get('club', [ClubController::class, 'show']);
    Route::post('club/sign-out', [ClubController::class, 'signOut']);
    Route::post('club/end', [ClubController::class, 'end']);
    Route::get('words', WordsController::class);
    Route::get('demo', [StartController::class, 'demo']);
    Route::post('demo', [StartController::class, 'loadDemo']);
    Route::delete('demo', [StartController::class, 'clearDemo']);
    Route::post('start', [StartController::class, 'start']);

    Route::get('shelf', [CardController::class, 'index']);
    Route::post('shelf', [CardController::class, 'store']);
    Route::get('starters', [CardController::class, 'starters']);
    Route::get('shelf.{format}', [CardController::class, 'exportAll'])->whereIn('format', ['yaml', 'json']);
    Route::post('shelf/import', [CardController::class, 'import']);
    Route::get('shelf/{card}.{format}', [CardController::class, 'export'])->whereIn('format', ['yaml', 'json']);
    Route::get('shelf/{card}', [CardController::class, 'show']);
    Route::put('shelf/{card}', [CardController::class, 'update']);
    Route::delete('shelf/{card}', [CardController::class, 'destroy']);

    Route::get('aliases', [AliasController::class, 'index']);
    Route::put('aliases', [AliasController::class, 'update']);

    Route::get('rigs', [RigController::class, 'index']);
    Route::post('rigs', [RigController::class, 'store']);
    Route::post('rigs/import', [RigDocumentController::class, 'import']);
    Route::get('rigs/{rig}.{format}', [RigDocumentController::class, 'export'])->whereIn('format', ['yaml', 'json']);
    Route::get('rigs/{rig}', [RigController::class, 'show']);
    Route::patch('rigs/{rig}', [RigController::class, 'update']);
    Route::delete('rigs/{rig}', [RigController::class, 'destroy']);
    Route::get('rigs/{rig}/field-pack', [FieldController::class, 'pack']);
    Route::post('field/preview', [FieldController::class, 'preview']);
    Route::post('field', [FieldController::class, 'take']);
    Route::post('rigs/{rig}/archive', [RigController::class, 'archive']);
    Route::post('rigs/{rig}/intents', RigIntentController::class);
    Route::post('rigs/{rig}/undo', [RigHistoryController::class, 'undo']);
    Route::get('rigs/{rig}/at/{position}', [RigMomentController::class, 'show'])->where('position', '[0-9]{1,9}');
    Route::get('rigs/{rig}/compare', [RigMomentController::class, 'compare']);
    Route::post('rigs/{rig}/duplicate', RigDuplicateController::class);
    Route::post('rigs/{rig}/entries/{position}/attachments', [AttachmentController::class, 'store'])->where('position', '[0-9]{1,9}');
    Route::get('attachments/{attachment}', [AttachmentController::class, 'show'])->where('attachment', '[0-9]{1,18}');

    Route::get('logbook', [LogbookController::class, 'index']);
    Route::get('logbook.{format}', [LogbookController::class, 'export'])->whereIn('format', ['csv', 'json']);

    Route::get('archive.zip', [ArchiveController::class, 'export']);
    Route::post('archive/preview', [ArchiveController::class, 'preview']);
    Route::post('archive/import', [ArchiveController::class, 'import']);

    Route::post('rigs/{rig}/plan', RigPlanController::class);
    Route::post('rigs/{rig}/order-check', RigOrderController::class);
    Route::post('rigs/{rig}/travel', RigTravelController::class);

    Route::get('captures', [CaptureController::class, 'index']);
    Route::post('captures', [CaptureController::class, 'store']);
    Route::get('captures/progress', [CaptureReadController::class, 'progress']);
    Route::post('captures/stop', [CaptureReadController::class, 'stop']);
    Route::post('captures/compare', [CaptureReadController::class, 'compare']);
    Route::prefix('captures/{capture}')->where(['capture' => '[0-9]{1,18}'])->group(function (): void {
        Route::get('', [CaptureController::class, 'show']);
        Route::delete('', [CaptureController::class, 'destroy']);
        Route::post('restore', [CaptureController::class, 'restore']);
        Route::post('decode', [CaptureReadController::class, 'decode']);
        Route::post('rows', [CaptureReadController::class, 'rows']);
        Route::post('frame', [CaptureReadController::class, 'frame']);
        Route::post('window', [CaptureReadController::class, 'window']);
        Route::post('export', CaptureExportController::class);
    });
    Route::post('rigs/{rig}/evidence', RigEvidenceController::class);

    Route::get('formats', [FormatController::class, 'index']);
    Route::post('formats/import', [FormatController::class, 'import']);
    Route::get('formats/{format}.{as}', [FormatController::class, 'export'])->whereIn('as', ['yaml', 'json']);
    Route::delete('formats/{format}', [FormatController::class, 'destroy']);

    Route::post('live/tcp', [LiveController::class, 'tcp']);
    Route::post('live/bytes', [LiveController::class, 'bytes']);
    Route::post('live/sound', [LiveController::class, 'sound']);
    Route::post('live/axes', [LiveController::class, 'axes']);

    Route::get('search', SearchController::class);
});

Route::get('{path?}', PageController::class)->where('path', '(?!api/|build/).*');
