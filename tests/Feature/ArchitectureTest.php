<?php

declare(strict_types=1);

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use Symfony\Component\Yaml\Yaml;

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

/** @return list<string> Every class that a file names, by the parsed code and what its comments import. */
function namedIn(string $file): array
{
    $traverser = new NodeTraverser(new NameResolver);
    $names = [];
    $collect = new class($names) extends NodeVisitorAbstract
    {
        public function __construct(public array $names)
        {
        }

        public function enterNode(Node $node): null
        {
            if ($node instanceof Node\Stmt\UseUse || $node instanceof Node\UseItem) {
                $this->names[] = $node->name->toString();
            } elseif ($node instanceof Node\Name\FullyQualified) {
                $this->names[] = $node->toString();
            }

            return null;
        }
    };
    $traverser->addVisitor($collect);
    $traverser->traverse((new ParserFactory)->createForHostVersion()->parse((string) file_get_contents($file)) ?? []);

    return $collect->names;
}

it('lets each folder of the core use earlier ones only, in the order that core/folders.yaml tells', function () {
    $order = array_flip(array_column(Yaml::parseFile(base_path('core/folders.yaml')), 'folder'));
    $source = base_path('core/src');
    $folderOf = static fn (string $class): string => str_replace('\\', '/', substr($class, strlen('Linguator\\Core\\'), -strlen(strrchr($class, '\\') ?: '')));
    [$backward, $files] = [[], 0];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($source, FilesystemIterator::SKIP_DOTS)) as $file) {
        $folder = substr($file->getPath(), strlen($source) + 1);
        expect($order)->toHaveKey($folder);
        $files++;
        foreach (namedIn($file->getPathname()) as $class) {
            $used = str_starts_with($class, 'Linguator\\Core\\') && ! str_starts_with($class, 'Linguator\\Core\\Compiled\\') ? $folderOf($class) : $folder;
            if (($order[$used] ?? PHP_INT_MAX) > $order[$folder]) {
                $backward[] = "$folder/{$file->getFilename()} uses $class";
            }
        }
    }
    expect($backward)->toBe([])->and($files)->toBeGreaterThan(250);
    // No folder is listed that is not there.
    foreach (array_keys($order) as $folder) {
        expect("$source/$folder")->toBeDirectory();
    }
});

it('lets actions and models use nothing of Http', function () {
    $upward = [];
    foreach (['Actions', 'Models'] as $folder) {
        foreach (glob(app_path("$folder/*.php")) as $file) {
            array_push($upward, ...array_map(fn (string $class): string => basename($file).": $class", array_filter(namedIn($file), fn (string $class): bool => str_starts_with($class, 'App\\Http'))));
        }
    }
    expect($upward)->toBe([]);
});

arch('classes of the core are final')->expect('Linguator\Core')->classes()->toBeFinal();

arch('nothing is left behind for debugging')->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();
