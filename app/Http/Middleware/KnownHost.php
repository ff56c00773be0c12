<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Answer;
use App\Http\KnownHosts;
use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Symfony\Component\HttpFoundation\Response;

/** Before anything else: who asks by a foreign name, or from a foreign page, gets a sentence. */
final class KnownHost
{
    private const MISDIRECTED = 421;

    private const FORBIDDEN = 403;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $host = $request->headers->get('Host');
        $refusal = KnownHosts::refusal($host, config()->string('linguator.hosts'));
        if ($refusal !== null) {
            return self::refused($request, self::MISDIRECTED, 'foreign_host', $refusal);
        }
        if (KnownHosts::isForeign($request->headers->get('Origin'), $host)) {
            return self::refused($request, self::FORBIDDEN, 'foreign_page', 'This was asked by a page of another address; the bench answers its own pages and scripts only.');
        }

        return $next($request);
    }

    private static function refused(Request $request, int $status, string $code, string $sentence): Response
    {
        $response = Problems::isOfApi($request)
            ? Answer::problem($status, $code, $sentence)
            : new PlainResponse("$sentence\n", $status, ['Content-Type' => 'text/plain; charset=utf-8']);
        $response->headers->set('X-Content-Type-Options', 'nosniff');

        return $response;
    }
}
