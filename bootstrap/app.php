<?php

declare(strict_types=1);

use App\Http\Middleware\ClubGate;
use App\Http\Middleware\ForgeryToken;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\WallClock;
use App\Http\Middleware\WholeBody;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\InvokeDeferredCallbacks;
use Illuminate\Foundation\Http\Middleware\PreventRequestsDuringMaintenance;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\ValidatePostSize;
use Illuminate\View\Middleware\ShareErrorsFromSession;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        apiPrefix: 'api/v1',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // The usual list without cross-origin handling (one origin only) and without anything that edits input.
        $middleware->use([
            KnownHost::class,
            WholeBody::class,
            InvokeDeferredCallbacks::class,
            PreventRequestsDuringMaintenance::class,
            ValidatePostSize::class,
            SecurityHeaders::class,
            ClubGate::class,
            WallClock::class,
        ]);
        $middleware->web(replace: [ValidateCsrfToken::class => ForgeryToken::class], remove: [ShareErrorsFromSession::class]);
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();
