<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\DayForm;
use Symfony\Component\HttpFoundation\Response;

/** Days in sentences are those of the clock on the wall behind the browser, and written as there: one clock on a page. */
final class WallClock
{
    public const HEADER = 'X-Time-Zone';

    public const FORM = 'X-Day-Form';

    public function handle(Request $request, Closure $next): Response
    {
        Day::by($request->headers->get(self::HEADER), DayForm::tryFrom((string) $request->headers->get(self::FORM)) ?? DayForm::DayFirst);

        return $next($request);
    }
}
