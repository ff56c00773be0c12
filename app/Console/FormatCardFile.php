<?php

declare(strict_types=1);

namespace App\Console;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Format\FormatCardText;

/** The option `--card=FILE` of commands: a format card in YAML or JSON. */
final class FormatCardFile
{
    /**
     * @param  mixed  $file  As the option came; null: none is given.
     *
     * @throws DocumentError at `card` if the file cannot be read or holds no document.
     */
    public static function read(mixed $file): ?\stdClass
    {
        if (! is_string($file)) {
            return null;
        }
        $text = is_file($file) ? file_get_contents($file) : false;
        if ($text === false) {
            throw DocumentError::at('card', "The file \"$file\" cannot be read.", 'no_such_file');
        }
        try {
            $document = FormatCardText::value($text);
        } catch (DocumentError $error) {
            throw new DocumentError($error->errorCode, $error->getMessage(), 'card', $error->sourceLine);
        }

        return $document instanceof \stdClass ? $document : throw DocumentError::at('card', 'Found no object in the file; expected a format card.', 'not_an_object');
    }
}
