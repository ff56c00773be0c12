<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Conflict;
use App\Database\Trouble;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Linguator\Core\Document\DocumentError;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** What the API answers when something is wrong: always a JSON error with a code, a sentence and a place. */
final class Problems
{
    private const SENTENCES = [
        404 => ['not_found', 'There is nothing at this address.'],
        405 => ['method_not_allowed', 'This address does not take that kind of request.'],
        413 => ['too_large', 'More was sent than can be taken; expected at most 64 MB.'],
        419 => ['page_expired', 'This page has been open too long; load it again, nothing typed is lost.'],
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([DocumentError::class, Conflict::class]);
        // A full disk cannot take the report either, and who asked is told.
        $exceptions->dontReportWhen(static fn (\Throwable $error): bool => Trouble::of($error) !== null);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => self::isOfApi($request));
        $exceptions->render(static fn (DocumentError $error): JsonResponse => Answer::json($error->told(), 422));
        $exceptions->render(static fn (Conflict $conflict): JsonResponse => Answer::json($conflict->toArray(), 409));
        $exceptions->render(static fn (TokenMismatchException $error, Request $request): ?JsonResponse => self::isOfApi($request) ? self::sentence(419) : null);
        $exceptions->render(static fn (HttpExceptionInterface $error, Request $request): ?JsonResponse => self::isOfApi($request) ? self::sentence($error->getStatusCode()) : null);
        $exceptions->render(static fn (\Throwable $error, Request $request): ?JsonResponse => self::isOfApi($request) ? self::trouble($error) : null);
        $exceptions->render(static fn (\Throwable $error, Request $request): ?JsonResponse => self::isOfApi($request) && ! config('app.debug') ? self::sentence(500) : null);
    }

    /** By its beginning alone: a path may hold bytes that are no text. */
    public static function isOfApi(Request $request): bool
    {
        return str_starts_with($request->getPathInfo(), '/api/');
    }

    public static function sentence(int $status): JsonResponse
    {
        return Answer::problem($status, ...self::SENTENCES[$status] ?? ['failed', 'Something went wrong here; it is written in storage/logs.']);
    }

    public static function trouble(\Throwable $error): ?JsonResponse
    {
        $trouble = Trouble::of($error);

        return $trouble === null ? null : Answer::problem($trouble->status, $trouble->code, $trouble->sentence);
    }
}
