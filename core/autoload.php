<?php

// What the core may know besides PHP: itself, the validator and YAML. PHPStan reads the core with this and nothing else, so that a use of
// the framework is a fault there.
declare(strict_types=1);

spl_autoload_register(static function (string $class): void {
    $vendor = dirname(__DIR__).'/vendor';
    $folders = [
        'Linguator\\Core\\Compiled\\' => __DIR__.'/compiled/',
        'Linguator\\Core\\' => __DIR__.'/src/',
        'Opis\\JsonSchema\\' => "$vendor/opis/json-schema/src/",
        'Opis\\String\\' => "$vendor/opis/string/src/",
        'Opis\\Uri\\' => "$vendor/opis/uri/src/",
        'Symfony\\Component\\Yaml\\' => "$vendor/symfony/yaml/",
    ];
    foreach ($folders as $prefix => $folder) {
        if (! str_starts_with($class, $prefix)) {
            continue;
        }
        $file = $folder.str_replace('\\', '/', substr($class, strlen($prefix))).'.php';
        if (is_file($file)) {
            require $file;
        }

        return;
    }
});
