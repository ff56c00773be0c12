<?php

declare(strict_types=1);

namespace Linguator\Core\Format;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;

/** A format card as it stands in a file: YAML or JSON, one to a file. */
final class FormatCardText
{
    private const LARGEST_BYTES = 65_536;

    /** @throws DocumentError if it is too long, neither of the two, or more or less than one document. */
    public static function value(string $text): mixed
    {
        if (strlen($text) > self::LARGEST_BYTES) {
            throw DocumentError::at('text', 'Found '.strlen($text).' bytes; expected a format card of at most 64 kB.', 'too_large');
        }
        if (str_starts_with(ltrim($text), '{"')) {
            return Json::decode($text);
        }
        $documents = Yaml::decodeAll($text);

        return count($documents) === 1 ? $documents[0]['value'] : throw DocumentError::at('text', 'Found '.count($documents).' documents; expected one format card.', 'not_one');
    }
}
