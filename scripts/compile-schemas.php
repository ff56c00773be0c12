<?php

// Writes the schemas, the order of keys and the tables of core/data down as PHP in core/compiled, where they are asked first.
// Called by bin/setup when one of them, or what reads them, has changed.
declare(strict_types=1);

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\SchemaCompiler;
use Linguator\Core\Document\Schemas;

require dirname(__DIR__).'/vendor/autoload.php';

$into = Schemas::compiledFolder();
is_dir($into) || mkdir($into);

/** @return list<string> Names below a folder. */
$below = static function (string $folder): array {
    $names = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $path) {
        $names[] = substr((string) $path, strlen($folder) + 1);
    }

    return $names;
};
// Beside its place first, so that nobody ever reads half of it.
$put = static function (string $file, string $php) use ($into): void {
    file_put_contents("$into/$file.new", $php);
    rename("$into/$file.new", "$into/$file");
};
foreach ($below(Schemas::folder()) as $file) {
    $put(SchemaCompiler::fileName($file), (new SchemaCompiler(Schemas::folder(), $file))->php());
}
foreach ($below(DataFile::folder()) as $name) {
    $put(DataFile::fileName($name), DataFile::php($name));
}
$put('key-order.php', KeyOrder::php());
