<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

/** A setting of a rig that mends a fault: the intent that makes it, ready to be sent. */
final readonly class Mend
{
    /**
     * @param  string  $title  What is changed, in a few words.
     * @param  string  $intent  By its name in `Intents`.
     * @param  \stdClass  $told  What is told with it.
     */
    public function __construct(public string $cause, public string $title, public string $intent, public \stdClass $told)
    {
    }
}
