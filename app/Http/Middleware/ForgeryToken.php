<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Bench;
use App\Http\Problems;
use Closure;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * The framework's token against forged requests, in a cookie of this bench's own: cookies know no port, so two benches on one machine
 * would take each other's. A page whose token no longer holds gets a new one with the refusal, and asks again.
 */
final class ForgeryToken extends ValidateCsrfToken
{
    /**
     * @param  Request  $request
     * @param  Closure(Request): Response  $next
     */
    public function handle($request, Closure $next): Response
    {
        try {
            $response = parent::handle($request, $next);
            assert($response instanceof Response);

            return $response;
        } catch (TokenMismatchException $error) {
            if (! Problems::isOfApi($request)) {
                throw $error;
            }

            return $this->addCookieToResponse($request, Problems::sentence(419));
        }
    }

    /**
     * From the header alone: looking for it in the body would read every document once more.
     *
     * @param  Request  $request
     */
    protected function getTokenFromRequest($request): string
    {
        $plain = $request->header('X-CSRF-TOKEN');
        $sealed = $request->header('X-XSRF-TOKEN');
        if (is_string($plain) && $plain !== '') {
            return $plain;
        }
        try {
            $token = is_string($sealed) && $sealed !== '' ? $this->encrypter->decrypt($sealed, self::serialized()) : '';
        } catch (DecryptException) {
            $token = '';
        }

        return is_string($token) ? CookieValuePrefix::remove($token) : '';
    }

    /**
     * Without a day on which it ends: the browser's clock and this machine's may differ by years.
     *
     * @param  Request  $request
     * @param  array<string, mixed>  $config
     */
    protected function newCookie($request, $config): Cookie
    {
        return new Cookie(Bench::tokenCookie(), $request->session()->token(), 0, '/', null, false, false, false, Cookie::SAMESITE_STRICT);
    }
}
