<?php

/*
 * Writes the exact version of every PHP package that is installed into composer.json: what stands there is what is installed, on every machine,
 * whatever a registry offers by then. How they are renewed: docs/decisions/0005-exact-versions.md.
 *
 *   php scripts/pin-php-packages.php          pins what is installed
 *   php scripts/pin-php-packages.php --open   leaves only the packages that are asked for by name, for `composer update`
 */
declare(strict_types=1);

$file = dirname(__DIR__).'/composer.json';
$document = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
$direct = $document['extra']['linguator']['direct'];
$isPackage = static fn (string $name): bool => str_contains($name, '/');
if (in_array('--open', $argv, true)) {
    foreach (['require', 'require-dev'] as $key) {
        $document[$key] = array_filter($document[$key], static fn (string $name): bool => ! $isPackage($name) || in_array($name, $direct, true), ARRAY_FILTER_USE_KEY);
    }
} else {
    $installed = json_decode((string) file_get_contents(dirname(__DIR__).'/vendor/composer/installed.json'), true, 64, JSON_THROW_ON_ERROR);
    foreach (['require' => false, 'require-dev' => true] as $key => $isDev) {
        $document[$key] = array_filter($document[$key], static fn (string $name): bool => ! $isPackage($name), ARRAY_FILTER_USE_KEY);
        foreach ($installed['packages'] as $package) {
            if (in_array($package['name'], $installed['dev-package-names'], true) === $isDev) {
                $document[$key][$package['name']] = ltrim($package['version'], 'v');
            }
        }
        // As composer sorts them: the platform first, then by name.
        uksort($document[$key], static fn (string $a, string $b): int => [$isPackage($a), $a !== 'php', $a] <=> [$isPackage($b), $b !== 'php', $b]);
    }
}
file_put_contents($file, json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
