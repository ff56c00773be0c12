<?php

declare(strict_types=1);

return [
    'name' => 'Linguator',

    // `production` hides details of faults; `testing` is set by the tests.
    'env' => env('APP_ENV', 'production'),

    'debug' => (bool) env('APP_DEBUG', false),

    // Signs cookies. `bin/setup` makes one for each machine.
    'key' => env('APP_KEY'),

    'timezone' => 'UTC',
];
