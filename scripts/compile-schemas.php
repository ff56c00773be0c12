<?php

// Writes every schema down as PHP in core/compiled, where Schemas asks it first. Called by bin/setup when a schema or the compiler has changed.
declare(strict_types=1);

use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\SchemaCompiler;
use Linguator\Core\Document\Schemas;

require dirname(__DIR__).'/vendor/autoload.php';

$folder = Schemas::folder();
$into = Schemas::compiledFolder();
is_dir($into) || mkdir($into);
foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $path) {
    $file = substr((string) $path, strlen($folder) + 1);
    // Beside its place first, so that nobody ever reads half of it.
    $there = "$into/".SchemaCompiler::fileName($file);
    file_put_contents("$there.new", (new SchemaCompiler($folder, $file))->php());
    rename("$there.new", $there);
}
file_put_contents("$into/key-order.php.new", KeyOrder::php());
rename("$into/key-order.php.new", "$into/key-order.php");
