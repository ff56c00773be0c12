<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Answer;
use Closure;
use Illuminate\Http\Request;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Verb\Verbs;
use Symfony\Component\HttpFoundation\Response;

/** Verbs take JSON that calls itself so: a foreign page would have to ask first whether it may send that, and may not. */
final class JsonOnly
{
    private const UNSUPPORTED = 415;

    private const TOO_LARGE = 413;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $type = strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        if ($type !== 'application/json') {
            return Answer::problem(self::UNSUPPORTED, 'not_json', 'Found the content type '.($type === '' ? 'missing' : Excerpt::of($type)).'; expected application/json.');
        }
        if (strlen($request->getContent()) > Verbs::MAX_BYTES) {
            return Answer::problem(self::TOO_LARGE, 'too_large', sprintf('Found %.1f MB; expected a document of at most %d MB.', strlen($request->getContent()) / 1_000_000, Verbs::MAX_BYTES / 1_000_000));
        }

        return $next($request);
    }
}
