<?php

declare(strict_types=1);

use Illuminate\Auth\AuthServiceProvider;
use Illuminate\Auth\Passwords\PasswordResetServiceProvider;
use Illuminate\Broadcasting\BroadcastServiceProvider;
use Illuminate\Mail\MailServiceProvider;
use Illuminate\Notifications\NotificationServiceProvider;
use Illuminate\Pagination\PaginationServiceProvider;
use Illuminate\Redis\RedisServiceProvider;
use Illuminate\Support\ServiceProvider;

return [
    'name' => 'Linguator',

    // `production` hides details of faults; `testing` is set by the tests.
    'env' => env('APP_ENV', 'production'),

    'debug' => (bool) env('APP_DEBUG', false),

    // Signs cookies. `bin/setup` makes one for each machine.
    'key' => env('APP_KEY'),

    'timezone' => 'UTC',

    // What a bench never does is not started at every request; nor is what packages would start by themselves (composer.json, dont-discover).
    'providers' => ServiceProvider::defaultProviders()->except([
        AuthServiceProvider::class,
        BroadcastServiceProvider::class,
        MailServiceProvider::class,
        NotificationServiceProvider::class,
        PaginationServiceProvider::class,
        PasswordResetServiceProvider::class,
        RedisServiceProvider::class,
    ])->toArray(),
];
