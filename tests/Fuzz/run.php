<?php

// What nobody should ask, in great number: php tests/Fuzz/run.php [CASES] [SEED] [KIND…]. Called by bin/fuzz.
declare(strict_types=1);

use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Tests\Fuzz\Fuzz;

// A bench of its own, in memory; no setting of the shell's may name another.
foreach (['APP_ENV' => 'testing', 'LINGUATOR_DB' => ':memory:', 'SESSION_DRIVER' => 'array', 'LOG_CHANNEL' => 'null', 'APP_KEY' => 'base64:bGluZ3VhdG9yLXRlc3Rpbmcta2V5LTMyLWJ5dGVzISE=', 'APP_CONFIG_CACHE' => 'storage/framework/none/config.php', 'APP_ROUTES_CACHE' => 'storage/framework/none/routes.php'] as $key => $value) {
    putenv("$key=$value");
    $_ENV[$key] = $_SERVER[$key] = $value;
}
ini_set('memory_limit', '1G');
require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Console::class)->bootstrap();
$captures = sys_get_temp_dir().'/linguator-fuzz-'.getmypid();
config(['linguator.captures' => $captures]);
Artisan::call('migrate', ['--force' => true]);
Artisan::call('linguator:demo');

$from = (int) (getenv('FUZZ_FROM') ?: 0);
$count = (int) ($argv[1] ?? 40_000);
$fuzz = new Fuzz($app->make(Kernel::class), (int) ($argv[2] ?? 1));
$kinds = array_slice($argv, 3) ?: array_keys(Fuzz::SHARES);
$shares = array_intersect_key(Fuzz::SHARES, array_flip($kinds));
$begun = microtime(true);
foreach ($shares as $kind => $share) {
    [$before, $begin] = [count($fuzz->faults), microtime(true)];
    $fuzz->run($kind, $some = (int) ceil($count * $share / array_sum($shares)), $from);
    printf("%-9s %6d cases, %5.1f s, %d faults\n", $kind, $some, microtime(true) - $begin, count($fuzz->faults) - $before);
}
File::deleteDirectory($captures);
echo implode("\n", array_slice($fuzz->faults, 0, 20)), $fuzz->faults === [] ? '' : "\n";
printf("%d cases in %.0f s; the slowest answer took %.2f s, the largest %.0f MB\n", $fuzz->cases, microtime(true) - $begun, $fuzz->slowestS, $fuzz->largestBytes / 1e6);
printf("%d passed, %d failed\n", $fuzz->cases - min($fuzz->cases, count($fuzz->faults)), count($fuzz->faults));
exit($fuzz->faults === [] ? 0 : 1);
