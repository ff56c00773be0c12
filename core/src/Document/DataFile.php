<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/** A table of `core/data`: YAML for people, read as code where that was made of this very file (`scripts/compile-schemas.php`). */
final class DataFile
{
    public static function folder(): string
    {
        return dirname(__DIR__, 2).'/data';
    }

    /** @param  string  $name  Below the folder, such as `wire-formats.yaml`. */
    public static function read(string $name): mixed
    {
        $file = Schemas::compiledFolder().'/'.self::fileName($name);
        /** @var array{mark: string, value: mixed}|null $compiled */
        $compiled = is_file($file) ? require $file : null;

        return $compiled !== null && $compiled['mark'] === self::mark($name) ? $compiled['value'] : self::parsed($name);
    }

    public static function fileName(string $name): string
    {
        return 'data_'.preg_replace('/[^A-Za-z0-9]+/', '_', $name).'.php';
    }

    public static function php(string $name): string
    {
        return "<?php\n\n// Made by scripts/compile-schemas.php of core/data/$name; not to be edited.\nreturn ".var_export(['mark' => self::mark($name), 'value' => self::parsed($name)], true).";\n";
    }

    private static function mark(string $name): string
    {
        return SchemaCompiler::mark(self::folder(), $name);
    }

    private static function parsed(string $name): mixed
    {
        return Yaml::decodeAll((string) file_get_contents(self::folder()."/$name"))[0]['value'];
    }
}
