<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

/** A document with a patch on it, and what that changed. */
final readonly class PatchDone
{
    /**
     * @param  \stdClass  $before  Whole values by place, only those that differ; a place that was empty is missing.
     * @param  \stdClass  $after  The same afterwards.
     * @param  array<string, \stdClass>  $lists  What was changed in lists, as `ListChange` tells it.
     */
    public function __construct(public \stdClass $document, public \stdClass $before, public \stdClass $after, public array $lists)
    {
    }
}
