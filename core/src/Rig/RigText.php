<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Json;

/** A rig document as a file to read and to keep: lists that only grow have an item on each line, so a long history stays small. */
final class RigText
{
    private const GROWING = ['measurements', 'attempts', 'checks', 'sign_offs', 'log'];

    /**
     * JSON with a closing newline.
     *
     * @param  list<string>  $log  Entries of the history as compact JSON; none: as the document has it.
     */
    public static function json(\stdClass $document, array $log = []): string
    {
        $lines = [];
        foreach (get_object_vars($document) as $key => $value) {
            $items = $key === 'log' && $log !== [] ? $log : (is_array($value) && in_array($key, self::GROWING, true) ? array_map(Json::compact(...), $value) : []);
            $text = $items !== []
                ? "[\n    ".implode(",\n    ", $items)."\n  ]"
                : str_replace("\n", "\n  ", rtrim(Json::pretty($value)));
            $lines[] = '  '.Json::compact((string) $key).': '.$text;
        }

        return "{\n".implode(",\n", $lines)."\n}\n";
    }
}
