<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'kept'),

    'channels' => [
        // What cannot be written down (a full disk) must not become a fault of its own.
        'kept' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true],
        'single' => ['driver' => 'single', 'path' => storage_path('logs/laravel.log'), 'permission' => 0600],
    ],
];
