<?php

// Fills a bench with copies of its rigs and a long history: LINGUATOR_DB=FILE php bench/fill.php RIGS ENTRIES
declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use Illuminate\Contracts\Console\Kernel;
use Linguator\Core\Rig\RigDocument;

require dirname(__DIR__).'/vendor/autoload.php';
(require dirname(__DIR__).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

[, $rigs, $entries] = array_map('intval', $argv);
mt_srand(7);
$models = Rig::query()->orderBy('id')->get()->all();
$have = count($models);
$each = intdiv($entries, $rigs);
for ($k = $have; $k < $rigs; $k++) {
    $plain = $models[$k % $have]->whole()->canonical();
    $plain->name = "$plain->name $k";
    $plain->log ??= [];
    $day = new DateTimeImmutable('2025-01-01T08:00:00Z');
    for ($j = count($plain->log); $j < $each; $j++) {
        $day = $day->modify('+'.mt_rand(1, 40).' hours');
        $plain->log[] = (object) [
            'at' => $day->format('Y-m-d\TH:i:s\Z'), 'kind' => 'change', 'text' => "Memory $j.",
            'before' => (object) ['settings.memory' => $j], 'after' => (object) ['settings.memory' => $j + 1],
        ];
    }
    (new ImportRig)(RigDocument::of($plain));
}
