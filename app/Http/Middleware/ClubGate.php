<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Club\Sessions;
use App\Http\Answer;
use App\Http\Bench;
use App\Http\Problems;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the bench is open to the club's network, nothing of it is shown or taken before somebody has signed in. */
final readonly class ClubGate
{
    /** Under which the request tells who is signed in. */
    public const SESSION = 'club_session';

    private const SIGN_IN = '/sign-in';

    private const UNAUTHORISED = 401;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! config()->boolean('linguator.club') || $request->getPathInfo() === self::SIGN_IN || self::isSignedIn($request)) {
            return $next($request);
        }
        if (Problems::isOfApi($request)) {
            return Answer::problem(self::UNAUTHORISED, 'sign_in', 'Sign in first: this bench is open to a network, and you are not, or no longer, signed in.');
        }

        return new RedirectResponse(self::SIGN_IN.'?to='.rawurlencode($request->getRequestUri()));
    }

    private static function isSignedIn(Request $request): bool
    {
        $token = $request->cookies->get(Bench::clubCookie());
        if (! is_string($token) || ! Sessions::here()->isOpen($token, time())) {
            return false;
        }
        // Whose it is, for those who come after: what stands in cookies is taken for sealed there.
        $request->attributes->set(self::SESSION, Sessions::id($token));

        return true;
    }
}
