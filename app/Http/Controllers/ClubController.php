<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Club\Passphrase;
use App\Club\Sessions;
use App\Http\Answer;
use App\Http\Bench;
use App\Http\Middleware\ClubGate;
use App\Http\RequestDocument;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Cookie;

/** The bench on the club's network: signing in and out, who is signed in, and where it is reached. */
final readonly class ClubController
{
    /** Wrong ones from one address in a minute, and from all of them in an hour. */
    private const TRIES = 5;

    private const TRIES_OF_ALL = 60;

    public function form(Request $request): View|RedirectResponse
    {
        return config()->boolean('linguator.club') ? self::page($request, '') : new RedirectResponse('/');
    }

    public function signIn(Request $request): RedirectResponse|Response
    {
        if (! config()->boolean('linguator.club')) {
            return new RedirectResponse('/');
        }
        $limits = ['club-sign-in:'.$request->ip() => [self::TRIES, 60], 'club-sign-in' => [self::TRIES_OF_ALL, 3600]];
        foreach ($limits as $key => [$most]) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                return self::refused($request, 'Too many tries. The next one counts in '.RateLimiter::availableIn($key).' seconds.', 429);
            }
        }
        $told = $request->request->get('passphrase');
        if (! is_string($told) || ! Passphrase::here()->isIt($told)) {
            foreach ($limits as $key => [, $seconds]) {
                RateLimiter::hit($key, $seconds);
            }

            return self::refused($request, 'That is not it. It is the passphrase that whoever started the bench has set.', 422);
        }
        $token = Sessions::here()->begin((string) $request->userAgent(), (string) $request->ip(), time());

        return (new RedirectResponse(self::wanted($request)))->withCookie(self::cookie($token));
    }

    public function signOut(Request $request): JsonResponse
    {
        Sessions::here()->end(self::own($request));

        return Answer::json(['signed_out' => true])->withCookie(self::cookie('', 1));
    }

    /** @return JsonResponse Whether it is open to a network, where it is reached, and who is signed in. */
    public function show(Request $request): JsonResponse
    {
        if (! config()->boolean('linguator.club')) {
            return Answer::json(['is_club' => false, 'addresses' => [], 'sessions' => []]);
        }
        $own = self::own($request);
        $sessions = array_map(static fn (array $one): array => [
            'id' => $one['id'],
            'device' => $one['device'],
            'address' => $one['address'],
            'begun_at' => gmdate('Y-m-d\TH:i:s\Z', $one['begun']),
            'seen_at' => gmdate('Y-m-d\TH:i:s\Z', $one['seen']),
            'is_own' => $one['id'] === $own,
        ], Sessions::here()->all(time()));

        return Answer::json(['is_club' => true, 'addresses' => array_values(array_filter(explode(' ', config()->string('linguator.club_addresses')))), 'sessions' => $sessions]);
    }

    /** Somebody is signed out from elsewhere: a lost phone. */
    public function end(Request $request): JsonResponse
    {
        return Answer::json(['ended' => Sessions::here()->end(RequestDocument::of($request)->text('id'))]);
    }

    private static function page(Request $request, string $problem): View
    {
        return view('sign-in', ['problem' => $problem, 'to' => self::wanted($request)]);
    }

    private static function refused(Request $request, string $problem, int $status): Response
    {
        return new Response(self::page($request, $problem)->render(), $status);
    }

    /** A page of this bench, whatever was told. */
    private static function wanted(Request $request): string
    {
        $to = $request->request->get('to') ?? $request->query->get('to');

        return is_string($to) && preg_match('#^/(?![/\\\\])[\x21-\x7e]*$#D', $to) === 1 ? $to : '/';
    }

    /** The session of whoever asks. */
    private static function own(Request $request): string
    {
        $id = $request->attributes->get(ClubGate::SESSION);

        return is_string($id) ? $id : '';
    }

    private static function cookie(string $token, int $until = 0): Cookie
    {
        return new Cookie(Bench::clubCookie(), $token, $until, '/', null, false, true, false, Cookie::SAMESITE_STRICT);
    }
}
