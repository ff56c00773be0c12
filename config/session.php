<?php

declare(strict_types=1);

return [
    // Only the token against forged requests lives here.
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 30,
    'files' => storage_path('framework/sessions'),
    'cookie' => 'linguator_session',
    'http_only' => true,
    'same_site' => 'strict',
];
