<?php

declare(strict_types=1);

return [
    'default' => 'local',

    'disks' => [
        // Without this line the framework would open an address that takes and gives files.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false],
    ],
];
