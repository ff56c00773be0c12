<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

/**
 * Writes a JSON Schema down as PHP that says whether a document is sound, and nothing else.
 *
 * It may say no where the validator says yes (a whole number written 3.0, say): then the validator has the last word, as it has about what
 * is wrong and where. It must never say yes where the validator says no. A keyword it does not know is an error here, not a guess.
 */
final class SchemaCompiler
{
    /** Say nothing about a document. */
    private const SILENT = ['$schema', '$id', '$defs', 'title', 'description', 'default', 'examples'];

    private const KNOWN = ['$ref', 'type', 'enum', 'const', 'minimum', 'maximum', 'exclusiveMinimum', 'exclusiveMaximum', 'minLength', 'maxLength', 'pattern',
        'properties', 'required', 'additionalProperties', 'propertyNames', 'minProperties', 'maxProperties', 'items', 'prefixItems', 'minItems', 'maxItems', 'uniqueItems',
        'anyOf', 'oneOf', 'allOf', 'if', 'then', 'else'];

    private const BOUNDS = ['minimum' => '>=', 'maximum' => '<=', 'exclusiveMinimum' => '>', 'exclusiveMaximum' => '<'];

    private const TYPES = [
        'object' => '%s instanceof \stdClass', 'array' => 'is_array(%1$s) && array_is_list(%1$s)', 'string' => 'is_string(%s)', 'boolean' => 'is_bool(%s)',
        'null' => '%s === null', 'integer' => 'is_int(%s)', 'number' => '(is_int(%1$s) || is_float(%1$s))',
    ];

    /** @var array<string, string> Methods of the class being written, by the place of their schema. */
    private array $methods = [];

    /** @var array<string, string> Bodies of those methods, by name. */
    private array $bodies = [];

    /** @var array<string, true> Other schema files it asks. */
    private array $asks = [];

    private readonly \stdClass $root;

    public function __construct(private readonly string $folder, private readonly string $file)
    {
        $root = Json::decode((string) file_get_contents("$folder/$file"));
        $this->root = $root instanceof \stdClass ? $root : throw new \LogicException("$file is no schema.");
    }

    /** The class a schema file becomes. */
    public static function className(string $file): string
    {
        return 'Linguator\Core\Compiled\\'.self::shortName($file);
    }

    public static function fileName(string $file): string
    {
        return self::shortName($file).'.php';
    }

    /** What the source is known by: compiled code of another one is not asked. */
    public static function mark(string $folder, string $file): string
    {
        return (string) hash_file('xxh128', "$folder/$file");
    }

    public function php(): string
    {
        $this->method('#', $this->root);
        // Others may point at any definition, and at any part of the whole.
        foreach (['$defs', 'properties'] as $place) {
            foreach (get_object_vars(($this->root->{$place} ?? null) instanceof \stdClass ? $this->root->{$place} : new \stdClass) as $name => $schema) {
                $this->method("#/$place/$name", $schema);
            }
        }
        $requires = implode('', array_map(static fn (string $file): string => 'require_once __DIR__.'.var_export('/'.self::fileName($file), true).";\n", array_keys($this->asks)));
        $methods = '';
        foreach ($this->bodies as $name => $body) {
            $methods .= "\n    public static function $name(mixed \$v): bool\n    {\n$body    }\n";
        }

        return "<?php\n\n// Made by scripts/compile-schemas.php of $this->file; not to be edited.\ndeclare(strict_types=1);\n\nnamespace Linguator\\Core\\Compiled;\n\n$requires\nfinal class ".self::shortName($this->file)
            ."\n{\n    public const MARK = ".var_export(self::mark($this->folder, $this->file), true).";\n\n    public const ASKS = [".implode(', ', array_map(static fn (string $file): string => var_export($file, true), array_keys($this->asks)))."];\n$methods}\n";
    }

    private static function shortName(string $file): string
    {
        return 'S_'.preg_replace('/[^A-Za-z0-9]+/', '_', preg_replace('/\.json$/D', '', $file) ?? $file);
    }

    /** The method of a place that others may point at, such as `/$defs/id` or `/properties/craft`. */
    private static function methodAt(string $pointer): string
    {
        return (str_starts_with($pointer, '/$defs/') ? 'def_' : 'part_').preg_replace('/[^A-Za-z0-9]+/', '_', substr($pointer, (int) strpos($pointer, '/', 1) + 1));
    }

    private function method(string $place, mixed $schema): string
    {
        if (isset($this->methods[$place])) {
            return $this->methods[$place];
        }
        $name = $place === '#' ? 'sound' : 'at'.preg_replace('/[^A-Za-z0-9]+/', '_', substr($place, 1)).'_'.count($this->methods);
        if (substr_count($place, '/') === 2) {
            $name = self::methodAt(substr($place, 1));
        }
        $this->methods[$place] = $name;
        $this->bodies[$name] = '';
        $this->bodies[$name] = $this->body($place, $schema);

        return $name;
    }

    /** An expression that is true where the value in this variable is sound. */
    private function expression(string $place, mixed $schema, string $variable): string
    {
        if ($schema === true) {
            return 'true';
        }
        if ($schema === false) {
            return 'false';
        }
        assert($schema instanceof \stdClass);
        $keys = array_values(array_diff(array_map(strval(...), array_keys(get_object_vars($schema))), self::SILENT));
        if (array_diff($keys, self::KNOWN) !== []) {
            throw new \LogicException("$this->file, $place: the keyword ".implode(', ', array_diff($keys, self::KNOWN)).' is not known to the compiler.');
        }
        if (array_diff($keys, ['type', 'enum', 'const', 'pattern', 'minLength', 'maxLength', ...array_keys(self::BOUNDS)]) === []) {
            $terms = $this->leaf($schema, $variable);

            return $terms === [] ? 'true' : implode(' && ', $terms);
        }
        if ($keys === ['$ref'] && is_string($schema->{'$ref'})) {
            return $this->reference($schema->{'$ref'})."($variable)";
        }

        return 'self::'.$this->method($place, $schema)."($variable)";
    }

    private function reference(string $ref): string
    {
        [$file, $pointer] = explode('#', $ref, 2) + [1 => ''];
        if ($file === '') {
            return 'self::'.$this->method("#$pointer", $this->pointed($pointer));
        }
        $target = self::resolved(dirname($this->file), $file);
        $this->asks[$target] = true;

        return '\\'.self::className($target).'::'.($pointer === '' ? 'sound' : self::methodAt($pointer));
    }

    private function pointed(string $pointer): mixed
    {
        $at = $this->root;
        foreach (array_filter(explode('/', $pointer), static fn (string $step): bool => $step !== '') as $step) {
            $at = $at instanceof \stdClass ? ($at->{$step} ?? null) : null;
        }

        return $at ?? throw new \LogicException("$this->file points at $pointer, which is not there.");
    }

    private static function resolved(string $folder, string $file): string
    {
        $steps = $folder === '.' ? [] : explode('/', $folder);
        foreach (explode('/', $file) as $step) {
            if ($step === '..') {
                array_pop($steps);
            } elseif ($step !== '.') {
                $steps[] = $step;
            }
        }

        return implode('/', $steps);
    }

    /** @return list<string> Terms for a value that is no list and no object. */
    private function leaf(\stdClass $schema, string $v): array
    {
        $terms = [];
        $types = isset($schema->type) ? array_values(array_map(static fn (mixed $type): string => is_string($type) ? $type : '', (array) $schema->type)) : null;
        if ($types !== null) {
            $terms[] = '('.implode(' || ', array_map(static fn (string $type): string => sprintf(self::TYPES[$type], $v), $types)).')';
        }
        if (property_exists($schema, 'const')) {
            $terms[] = "$v === ".$this->scalar($schema->const);
        }
        if (isset($schema->enum) && is_array($schema->enum)) {
            $terms[] = "in_array($v, [".implode(', ', array_map($this->scalar(...), $schema->enum)).'], true)';
        }
        $isNumber = $types !== null && array_diff($types, ['integer', 'number']) === [];
        foreach (self::BOUNDS as $key => $sign) {
            if (property_exists($schema, $key)) {
                $terms[] = ($isNumber ? '' : "(! is_int($v) && ! is_float($v) || ")."$v $sign ".var_export($schema->{$key}, true).($isNumber ? '' : ')');
            }
        }
        $isText = $types === ['string'];
        foreach (['minLength' => '>=', 'maxLength' => '<='] as $key => $sign) {
            if (property_exists($schema, $key)) {
                $terms[] = ($isText ? '' : "(! is_string($v) || ")."mb_strlen($v) $sign ".var_export($schema->{$key}, true).($isText ? '' : ')');
            }
        }
        if (isset($schema->pattern) && is_string($schema->pattern)) {
            $terms[] = ($isText ? '' : "(! is_string($v) || ").'preg_match('.var_export('~'.str_replace('~', '\~', $schema->pattern).'~Du', true).", $v) === 1".($isText ? '' : ')');
        }

        return $terms;
    }

    private function scalar(mixed $value): string
    {
        return is_scalar($value) || $value === null ? var_export($value, true) : throw new \LogicException("$this->file: only plain values are known in enum and const.");
    }

    private function body(string $place, mixed $schema): string
    {
        if (! $schema instanceof \stdClass) {
            return '        return '.($schema === false ? 'false' : 'true').";\n";
        }
        $lines = [];
        $leaf = $this->leaf($schema, '$v');
        if ($leaf !== []) {
            $lines[] = 'if (! ('.implode(' && ', $leaf).')) {'."\n            return false;\n        }";
        }
        if (isset($schema->{'$ref'}) && is_string($schema->{'$ref'})) {
            $lines[] = $this->unless($this->reference($schema->{'$ref'}).'($v)');
        }
        array_push($lines, ...$this->object($place, $schema), ...$this->list($place, $schema), ...$this->combined($place, $schema));

        return implode('', array_map(static fn (string $line): string => "        $line\n", [...$lines, 'return true;']));
    }

    private function unless(string $expression): string
    {
        return "if (! ($expression)) {\n            return false;\n        }";
    }

    /** @return list<string> */
    private function object(string $place, \stdClass $schema): array
    {
        if (! isset($schema->properties) && ! isset($schema->required) && ! property_exists($schema, 'additionalProperties') && ! isset($schema->propertyNames) && ! isset($schema->minProperties) && ! isset($schema->maxProperties)) {
            return [];
        }
        $lines = [];
        $isObject = ($schema->type ?? null) === 'object';
        $guard = $isObject ? '' : '! $v instanceof \stdClass || ';
        foreach (is_array($schema->required ?? null) ? $schema->required : [] as $name) {
            $lines[] = $this->unless($guard.'property_exists($v, '.var_export($name, true).')');
        }
        if (isset($schema->minProperties)) {
            $lines[] = $this->unless($guard.'count(get_object_vars($v)) >= '.var_export($schema->minProperties, true));
        }
        if (isset($schema->maxProperties)) {
            $lines[] = $this->unless($guard.'count(get_object_vars($v)) <= '.var_export($schema->maxProperties, true));
        }
        $arms = [];
        foreach (get_object_vars(($schema->properties ?? null) instanceof \stdClass ? $schema->properties : new \stdClass) as $name => $property) {
            $arms[] = var_export((string) $name, true).' => '.$this->expression("$place/properties/$name", $property, '$x');
        }
        $others = property_exists($schema, 'additionalProperties') ? $this->expression("$place/additionalProperties", $schema->additionalProperties, '$x') : 'true';
        $names = isset($schema->propertyNames) ? $this->expression("$place/propertyNames", $schema->propertyNames, '$k').' && ' : '';
        if ($arms !== [] || $others !== 'true' || $names !== '') {
            $lines[] = ($isObject ? '' : 'if ($v instanceof \stdClass) {'."\n        ").'foreach (get_object_vars($v) as $k => $x) {'."\n            \$k = (string) \$k;\n            if (! ({$names}match (\$k) {\n                "
                .implode(",\n                ", [...$arms, "default => $others"]).",\n            })) {\n                return false;\n            }\n        }".($isObject ? '' : "\n        }");
        }

        return $lines;
    }

    /** @return list<string> */
    private function list(string $place, \stdClass $schema): array
    {
        if (! property_exists($schema, 'items') && ! isset($schema->prefixItems) && ! isset($schema->minItems) && ! isset($schema->maxItems) && ! isset($schema->uniqueItems)) {
            return [];
        }
        $lines = [];
        $isList = ($schema->type ?? null) === 'array';
        if (! $isList) {
            $lines[] = $this->unless('! is_array($v) || array_is_list($v)');
        }
        $guard = $isList ? '' : '! is_array($v) || ';
        foreach (['minItems' => '>=', 'maxItems' => '<='] as $key => $sign) {
            if (isset($schema->{$key})) {
                $lines[] = $this->unless("{$guard}count(\$v) $sign ".var_export($schema->{$key}, true));
            }
        }
        $prefix = is_array($schema->prefixItems ?? null) ? $schema->prefixItems : [];
        foreach ($prefix as $k => $item) {
            $lines[] = $this->unless("{$guard}! array_key_exists($k, \$v) || ".$this->expression("$place/prefixItems/$k", $item, "\$v[$k]"));
        }
        if (property_exists($schema, 'items')) {
            $from = count($prefix);
            $lines[] = $schema->items === false
                ? $this->unless("{$guard}count(\$v) <= $from")
                : ($isList ? '' : 'if (is_array($v)) {'."\n        ").'foreach ('.($from === 0 ? '$v' : "array_slice(\$v, $from)").' as $x) {'."\n            ".str_replace("\n", "\n    ", $this->unless($this->expression("$place/items", $schema->items, '$x')))."\n        }".($isList ? '' : "\n        }");
        }
        if (($schema->uniqueItems ?? false) === true) {
            // Objects are left to the validator: they may be the same with their keys in another order.
            $lines[] = $this->unless($guard.'array_filter($v, static fn (mixed $x): bool => ! is_scalar($x)) === [] && count(array_unique(array_map(static fn (mixed $x): string => (is_string($x) ? "s" : "o").json_encode($x), $v))) === count($v)');
        }

        return $lines;
    }

    /** @return list<string> */
    private function combined(string $place, \stdClass $schema): array
    {
        $lines = [];
        foreach (['anyOf', 'oneOf', 'allOf'] as $key) {
            $parts = [];
            foreach (is_array($schema->{$key} ?? null) ? $schema->{$key} : [] as $k => $part) {
                $parts[] = $this->expression("$place/$key/$k", $part, '$v');
            }
            if ($parts !== []) {
                $lines[] = $this->unless(match ($key) {
                    'anyOf' => implode(' || ', array_map(static fn (string $part): string => "($part)", $parts)),
                    'allOf' => implode(' && ', array_map(static fn (string $part): string => "($part)", $parts)),
                    default => implode(' + ', array_map(static fn (string $part): string => "(int) ($part)", $parts)).' === 1',
                });
            }
        }
        if (property_exists($schema, 'if')) {
            $part = fn (string $key): string => property_exists($schema, $key) ? $this->expression("$place/$key", $schema->{$key}, '$v') : 'true';
            $lines[] = $this->unless("({$part('if')}) ? ({$part('then')}) : ({$part('else')})");
        }

        return $lines;
    }
}
