<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

use Opis\JsonSchema\Validator;

/** Holds documents against the JSON Schemas in `core/schema`. */
final class Schemas
{
    private const BASE = 'https://linguator.invalid/';

    private readonly Validator $validator;

    public function __construct(?string $folder = null)
    {
        $this->validator = new Validator(null, 1, true);
        // Documents stay as they came: the validator must not write defaults into them.
        $this->validator->parser()->setOption('allowDefaults', false);
        $this->validator->resolver()?->registerPrefix(self::BASE, $folder ?? dirname(__DIR__, 2).'/schema');
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2).'/schema';
    }

    /** @throws DocumentError naming the first place that does not fit. */
    public function check(mixed $document, string $schema): \stdClass
    {
        if (! $document instanceof \stdClass) {
            throw DocumentError::at('', 'Found '.Excerpt::of($document).'; expected one JSON object.', 'not_an_object');
        }
        $error = $this->validator->validate($document, self::BASE.$schema)->error();
        if ($error !== null) {
            throw SchemaMessage::from($error);
        }

        return $document;
    }
}
