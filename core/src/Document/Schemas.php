<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

use Opis\JsonSchema\Validator;

/**
 * Holds documents against the JSON Schemas in `core/schema`.
 *
 * What they say is asked of compiled code first, where there is some of this very schema: it knows a sound document some twenty times as fast.
 * What it does not pass goes to the validator, which has the last word and tells what is wrong where.
 */
final class Schemas
{
    private const BASE = 'https://linguator.invalid/';

    private ?Validator $validator = null;

    /** @var array<string, bool> Whether there is compiled code of a schema as it stands now. */
    private array $isCompiled = [];

    public function __construct(private readonly ?string $folder = null)
    {
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2).'/schema';
    }

    public static function compiledFolder(): string
    {
        return dirname(__DIR__, 2).'/compiled';
    }

    /** @throws DocumentError naming the first place that does not fit. */
    public function check(mixed $document, string $schema): \stdClass
    {
        if (! $document instanceof \stdClass) {
            throw DocumentError::at('', 'Found '.Excerpt::of($document).'; expected one JSON object.', 'not_an_object');
        }
        if ($this->passes($document, $schema)) {
            return $document;
        }
        $error = $this->validator()->validate($document, self::BASE.$schema)->error();
        if ($error !== null) {
            throw SchemaMessage::from($error);
        }

        return $document;
    }

    /** Whether compiled code says yes. No says nothing: there may be none. */
    public function passes(\stdClass $document, string $schema): bool
    {
        $class = SchemaCompiler::className($schema);

        return $this->isCurrent($schema) && $class::sound($document) === true;
    }

    /** Whether there is compiled code, made of this very schema and of those it asks. */
    private function isCurrent(string $schema): bool
    {
        return $this->isCompiled[$schema] ??= $this->folder === null && $this->load($schema);
    }

    private function load(string $schema): bool
    {
        $class = SchemaCompiler::className($schema);
        $file = self::compiledFolder().'/'.SchemaCompiler::fileName($schema);
        if (! class_exists($class, false) && is_file($file)) {
            require_once $file;
        }
        if (! class_exists($class, false) || $class::MARK !== SchemaCompiler::mark(self::folder(), $schema)) {
            return false;
        }
        /** @var list<string> $asks */
        $asks = $class::ASKS;
        foreach ($asks as $asked) {
            if (! $this->isCurrent($asked)) {
                return false;
            }
        }

        return true;
    }

    private function validator(): Validator
    {
        if ($this->validator === null) {
            $this->validator = new Validator(null, 1, true);
            // Documents stay as they came: the validator must not write defaults into them.
            $this->validator->parser()->setOption('allowDefaults', false);
            $this->validator->resolver()?->registerPrefix(self::BASE, $this->folder ?? self::folder());
        }

        return $this->validator;
    }
}
