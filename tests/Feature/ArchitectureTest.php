<?php

declare(strict_types=1);

/** Folders of the core by layer: each may use its own layer's and earlier layers' folders only. */
const LAYERS = [
    ['Document', 'Finding', 'Quantity', 'Timing', 'Supply'],
    ['Format', 'Wire', 'Channel', 'Travel', 'Switching', 'Bind'],
    ['Line'],
    ['Capture'],
    ['Signal', 'StandIn'],
    ['Gear'],
    ['Chain'],
    ['Rig', 'Failsafe', 'Readiness', 'Sheet', 'Search'],
    ['Verb'],
];

/** @return list<array{string, string}> Folder and file's code. */
function coreFiles(): array
{
    $files = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path('core/src'), FilesystemIterator::SKIP_DOTS)) as $file) {
        $files[] = [basename($file->getPath()), (string) file_get_contents($file->getPathname()), $file->getFilename()];
    }

    return $files;
}

it('keeps the core free of the framework, the application and anything that reads the world', function () {
    $files = coreFiles();
    expect(count($files))->toBeGreaterThan(80);
    foreach ($files as [$folder, $code, $name]) {
        expect($code)->toContain('declare(strict_types=1);')
            ->not->toMatch('/\b(Illuminate|Laravel|App|Carbon)\\\\/', "$folder/$name")
            ->not->toMatch('/(?<![>:\w])(?<!function )(now|app|config|env|request|collect|base_path|storage_path|time|date|getenv)\(/', "$folder/$name")
            ->not->toMatch('/\$_(GET|POST|SERVER|ENV|COOKIE|FILES)/', "$folder/$name");
    }
});

it('lets imports run one way through the core', function () {
    $layerOf = [];
    foreach (LAYERS as $layer => $folders) {
        foreach ($folders as $folder) {
            $layerOf[$folder] = $layer;
        }
    }
    foreach (coreFiles() as [$folder, $code, $name]) {
        expect($layerOf)->toHaveKey($folder);
        preg_match_all('/^use Linguator\\\\Core\\\\(\w+)\\\\/m', $code, $used);
        foreach ($used[1] as $other) {
            expect($layerOf[$other])->toBeLessThanOrEqual($layerOf[$folder], "$folder/$name uses $other");
        }
    }
});

arch('classes of the core are final')->expect('Linguator\Core')->classes()->toBeFinal();

arch('nothing is left behind for debugging')->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();
