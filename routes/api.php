<?php

declare(strict_types=1);

use App\Http\Controllers\VerbController;
use App\Http\Middleware\JsonOnly;
use Illuminate\Support\Facades\Route;
use Linguator\Core\Verb\Verbs;

// Verbs change nothing and need no token.
Route::get('verbs', [VerbController::class, 'index']);
Route::post('{verb}', [VerbController::class, 'ask'])->whereIn('verb', array_diff(array_keys(Verbs::all()), [Verbs::DECODE]))->middleware(JsonOnly::class);
// Takes a capture where the others take a document.
Route::post(Verbs::DECODE, [VerbController::class, 'decode']);
