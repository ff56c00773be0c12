<?php

declare(strict_types=1);

namespace Linguator\Core\Document;

use Opis\JsonSchema\Errors\ValidationError;

/** Turns what the schema validator says into one sentence with what was found, what was expected, and where. */
final class SchemaMessage
{
    public static function from(ValidationError $error): DocumentError
    {
        $leaf = self::leaf($error);
        $path = array_map(strval(...), $leaf->data()->fullPath());
        $args = $leaf->args();
        $found = $leaf->data()->value();

        if ($leaf->keyword() === 'required') {
            $missing = self::firstName($args['missing'] ?? '');

            return new DocumentError('missing_key', "The key \"$missing\" is missing.", implode('.', [...$path, $missing]));
        }
        if ($leaf->keyword() === 'additionalProperties' && isset($args['properties'])) {
            $unknown = self::firstName($args['properties']);

            return new DocumentError('unknown_key', 'The key "'.Excerpt::text($unknown).'" is not known here; check its spelling, or remove it.', implode('.', [...$path, $unknown]));
        }

        return new DocumentError('invalid', self::sentence($leaf, $found), implode('.', $path));
    }

    /** The error at the bottom; of several alternatives the one that got furthest. */
    private static function leaf(ValidationError $error): ValidationError
    {
        $deepest = null;
        $alternatives = in_array($error->keyword(), ['anyOf', 'oneOf'], true);
        foreach (self::below($error) as $sub) {
            $leaf = self::leaf($sub);
            if ($deepest === null || count($leaf->data()->fullPath()) > count($deepest->data()->fullPath())) {
                $deepest = $leaf;
            }
        }
        if ($deepest === null || ($alternatives && count($deepest->data()->fullPath()) === count($error->data()->fullPath()))) {
            return $deepest !== null && ! $alternatives ? $deepest : self::bestOfAlternatives($error);
        }

        return $deepest;
    }

    private static function bestOfAlternatives(ValidationError $error): ValidationError
    {
        foreach (self::below($error) as $sub) {
            $leaf = self::leaf($sub);
            if ($leaf->keyword() === 'enum') {
                return $leaf;
            }
        }

        $below = self::below($error);

        return $below === [] ? $error : self::leaf($below[0]);
    }

    private static function keys(mixed $value): string
    {
        $count = $value instanceof \stdClass ? count(get_object_vars($value)) : 0;

        return $count === 1 ? 'one key' : "$count keys";
    }

    /** @return list<ValidationError> */
    private static function below(ValidationError $error): array
    {
        return array_values(array_filter($error->subErrors(), static fn (mixed $sub): bool => $sub instanceof ValidationError));
    }

    private static function sentence(ValidationError $error, mixed $value): string
    {
        $found = Excerpt::of($value);
        $limit = static function (string $key) use ($error): string {
            $value = $error->args()[$key] ?? null;

            return is_float($value) && floor($value) === $value ? sprintf('%.0f', $value) : Excerpt::of($value);
        };
        $size = is_array($value) ? count($value) : (is_string($value) ? mb_strlen($value) : 0);

        return match ($error->keyword()) {
            'type' => "Found $found; expected ".self::types($error->args()['expected'] ?? $error->args()['type'] ?? 'something else').'.',
            'enum' => self::choice($found, $error),
            'const' => "Found $found; expected ".Excerpt::of($error->args()['const'] ?? null).'.',
            'minimum' => "Found $found; expected at least {$limit('min')}.",
            'maximum' => "Found $found; expected at most {$limit('max')}.",
            'exclusiveMinimum' => "Found $found; expected more than {$limit('min')}.",
            'exclusiveMaximum' => "Found $found; expected less than {$limit('max')}.",
            'minProperties' => 'Found '.self::keys($value)."; expected at least {$limit('min')}.",
            'maxProperties' => 'Found '.self::keys($value)."; expected at most {$limit('max')}.",
            'minItems' => "Found $size entries; expected at least {$limit('min')}.",
            'maxItems' => "Found $size entries; expected at most {$limit('max')}.",
            'items' => "Found $size entries; expected fewer.",
            'minLength' => "Found $found; expected at least {$limit('min')} character(s).",
            'maxLength' => "Found $size characters; expected at most {$limit('max')}.",
            'uniqueItems' => 'The same entry stands in this list twice; expected each once.',
            'pattern' => ($error->args()['pattern'] ?? null) === PlainText::PATTERN
                ? "Found $found with control characters or marks that turn the direction of text; expected plain text on one line."
                : "Found $found; expected text of the form {$limit('pattern')}.",
            default => "Found $found, which does not fit here ({$error->keyword()}).",
        };
    }

    private static function choice(string $found, ValidationError $error): string
    {
        $choices = self::schemaList($error, 'enum');
        if (in_array('AETR', $choices, true)) {
            return "Channel order $found must name each of A, E, T, R once.";
        }

        return "Found $found; expected one of ".implode(', ', array_map(Excerpt::of(...), $choices)).'.';
    }

    /** @return array<mixed> */
    private static function schemaList(ValidationError $error, string $keyword): array
    {
        $data = $error->schema()->info()->data();
        $list = $data instanceof \stdClass ? ($data->{$keyword} ?? []) : [];

        return is_array($list) ? $list : [];
    }

    private static function types(mixed $types): string
    {
        $names = ['integer' => 'a whole number', 'number' => 'a number', 'string' => 'text', 'boolean' => 'true or false', 'array' => 'a list', 'object' => 'an object', 'null' => 'null'];
        $list = array_map(static fn (mixed $type): string => is_string($type) ? ($names[$type] ?? $type) : '?', is_array($types) ? $types : [$types]);

        return implode(' or ', $list);
    }

    private static function firstName(mixed $names): string
    {
        $first = is_array($names) ? reset($names) : $names;

        return is_string($first) || is_int($first) ? (string) $first : '';
    }
}
