<?php

// A bench with a long history, asked by four clients, kept and taken in again: php bench/record.php http://127.0.0.1:PORT
declare(strict_types=1);

use App\Actions\ArchiveBounds;
use App\Actions\ExportArchive;
use App\Actions\ImportArchive;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

require __DIR__.'/storm.php';
require dirname(__DIR__).'/vendor/autoload.php';
(require dirname(__DIR__).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

const SIZES = [[50, 12500], [200, 50000]];
const PAGES = [
    'bench' => 'rigs', 'a rig' => 'rigs/dunlin', 'shelf' => 'shelf', 'logbook' => 'logbook', 'logbook, page 50' => 'logbook?page=50',
    'logbook, words' => 'logbook?q=will%20not%20arm', 'a rig as it was' => 'rigs/avocet-5/at/3', 'search' => 'search?q=brack',
];

$base = rtrim($argv[1] ?? '', '/');
$seconds = static function (callable $call): float {
    $start = hrtime(true);
    $call();

    return (hrtime(true) - $start) / 1e9;
};

foreach (SIZES as [$rigs, $entries]) {
    passthru('php '.escapeshellarg(__DIR__.'/fill.php')." $rigs $entries", $status);
    if ($status !== 0) {
        exit($status);
    }
    printf("## The record: %d rigs, %s entries, four clients (aim: p95 under 150 ms)\n\n| asked for | p50 ms | p95 ms |\n|---|--:|--:|\n", Rig::query()->count(), number_format(RigEntry::query()->count()));
    foreach (PAGES as $name => $path) {
        storm("$base/api/v1/$path", null, 1);
        [$p50, $p95] = middleAndSlow(storm("$base/api/v1/$path", null, 200));
        printf("| %s | %.0f | %.0f |\n", $name, $p50, $p95);
    }
    $archive = tempnam(sys_get_temp_dir(), 'linguator');
    $spent = $seconds(static fn () => (new ExportArchive)($archive));
    printf("| the archive, %.1f MB, made by one | %.0f | |\n", filesize($archive) / 1e6, 1000 * $spent);
    $import = app(ImportArchive::class);
    printf("| preview of taking it in, nothing new | %.0f | |\n", 1000 * $seconds(static fn () => $import->preview($archive, ArchiveBounds::page())));
    $full = config()->string('database.connections.sqlite.database');
    useBench("$full.empty");
    Artisan::call('migrate', ['--force' => true]);
    printf("| taking it in on an empty bench | %.0f | |\n\n", 1000 * $seconds(static fn () => $import->import($archive, false, ArchiveBounds::page())));
    useBench($full);
    array_map(unlink(...), [$archive, ...(array) glob("$full.empty*")]);
}

function useBench(string $file): void
{
    touch($file);
    config(['database.connections.sqlite.database' => $file]);
    DB::purge();
}
