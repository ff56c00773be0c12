<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/** Pages take nothing from any other host, and run no script that did not ship with the application. */
final class SecurityHeaders
{
    /** Where `npm run dev` serves from: this machine only, whatever stands in the file. */
    private const DEVELOPMENT = '#^http://((?:127\.0\.0\.1|localhost):\d{1,5})$#D';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // What is shown in a sandbox of its own has said so already.
        $response->headers->add(array_diff_key([
            'Content-Security-Policy' => self::policy($nonce),
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
            'Cross-Origin-Resource-Policy' => 'same-origin',
        ], $response->headers->has('Content-Security-Policy') ? ['Content-Security-Policy' => true] : []));
        // What is on the bench is its owner's: no store in between may keep it.
        $response->headers->set('Cache-Control', 'private, no-store');

        return $response;
    }

    private static function policy(string $nonce): string
    {
        $common = "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
        $development = Vite::isRunningHot() && preg_match(self::DEVELOPMENT, trim((string) file_get_contents(Vite::hotFile())), $match) === 1 ? $match[1] : null;
        if ($development !== null) {
            return "default-src 'self' http://$development; script-src 'self' 'nonce-$nonce' http://$development; style-src 'self' 'unsafe-inline' http://$development; "
                ."connect-src 'self' http://$development ws://$development; img-src 'self' data: http://$development; $common";
        }

        return "default-src 'self'; script-src 'self' 'nonce-$nonce'; style-src 'self' 'nonce-$nonce'; "
            // The component library sets positions by style attributes; they cannot load or run anything.
            ."style-src-attr 'unsafe-inline'; img-src 'self' data:; $common";
    }
}
