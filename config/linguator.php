<?php

declare(strict_types=1);

use App\Http\Bench;

return [
    // Where the demo bench lies; `linguator:demo` loads it through the same import as a user's files. `bin/bench compare` lets both sides have one.
    'demo' => (string) env('LINGUATOR_DEMO', base_path('demo')),

    // Captures lie beside the database, each bench's in a folder of its own. Tests have theirs thrown away.
    'captures' => env('LINGUATOR_DB') === ':memory:' ? storage_path('framework/testing/captures') : storage_path('captures/'.hash('crc32b', (string) env('LINGUATOR_DB', storage_path('linguator.sqlite')))),

    // Names this bench answers to besides 127.0.0.1, localhost and [::1], parted by commas.
    'hosts' => (string) env('LINGUATOR_HOSTS', ''),

    // Whether it is open to the club's network (bin/start --club), at which addresses, and where passphrase and sessions lie: with this bench, in no backup.
    'club' => (bool) env('LINGUATOR_CLUB', false),
    'club_addresses' => (string) env('LINGUATOR_CLUB_ADDRESSES', ''),
    'club_folder' => env('LINGUATOR_DB') === ':memory:' ? storage_path('framework/testing/club') : storage_path('club/'.hash('crc32b', (string) env('LINGUATOR_DB', storage_path('linguator.sqlite')))),

    // Tells this bench from others on the same machine, whose cookies a browser would mix up.
    'mark' => Bench::mark((string) env('LINGUATOR_DB', storage_path('linguator.sqlite')), (string) env('APP_KEY')),

    // Changes when the core does: what was computed by another build is computed again. Read once, when the configuration is cached.
    'build' => (static function (): string {
        $newest = 0;
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path('core'), FilesystemIterator::SKIP_DOTS)) as $file) {
            $newest = max($newest, $file->getMTime());
        }

        return (string) $newest;
    })(),
];
