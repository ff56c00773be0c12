<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',

    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',

            // The one file that holds everything. Tests and the browser tests name their own.
            'database' => env('LINGUATOR_DB', storage_path('linguator.sqlite')),

            'prefix' => '',
            'foreign_key_constraints' => true,

            // A confirmed write survives a crash or a pulled plug.
            'journal_mode' => 'WAL',
            'synchronous' => 'FULL',

            // Room for the pages of a long write (kB, so negative): a whole archive would else go to the disk and back on its way in.
            'pragmas' => ['cache_size' => -32_000],

            // Four workers share the file: wait this long (ms) for another's write.
            'busy_timeout' => 5000,
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
