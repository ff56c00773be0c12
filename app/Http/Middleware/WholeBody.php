<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** PHP puts a longer body down on the disk before anybody reads it: where there is no room, nothing or half of it arrives. */
final class WholeBody
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $told = $request->headers->get('Content-Length');
        if ($request->isJson() && is_string($told) && ctype_digit($told) && (int) $told > strlen($request->getContent())) {
            return Problems::trouble(new \RuntimeException('No space left on device')) ?? $next($request);
        }

        return $next($request);
    }
}
