<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;

/** Something that can be asked from a script: one JSON document in, one out. It changes nothing. */
interface Verb
{
    /** The name in the command, the address and the schema files. */
    public static function name(): string;

    /** One line for lists of commands. */
    public static function summary(): string;

    /**
     * @param  \stdClass  $input  A document that has passed `schema/verbs/<name>.in.json`.
     * @return object What becomes a document that fits `schema/verbs/<name>.out.json`: the registry makes it plain, and the objects in it.
     *
     * @throws DocumentError if the input says something the schema cannot rule out.
     */
    public function __invoke(\stdClass $input): object;
}
