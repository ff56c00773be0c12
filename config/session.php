<?php

declare(strict_types=1);

use App\Http\Bench;

return [
    // Only the token against forged requests lives here. In a cookie, sealed: a full disk stops no reader.
    'driver' => env('SESSION_DRIVER', 'cookie'),
    'lifetime' => 60 * 24 * 30,
    'expire_on_close' => true,
    'cookie' => Bench::mark((string) env('LINGUATOR_DB', storage_path('linguator.sqlite')), (string) env('APP_KEY')).'-session',
    'http_only' => true,
    'same_site' => 'strict',
];
