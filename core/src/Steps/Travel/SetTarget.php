<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Travel\Reading;

/** Where somebody wants a channel to end and to rest, whatever is usual; null: as usual again. */
final readonly class SetTarget implements Intent
{
    public function __construct(private int $channel, private ?Reading $target)
    {
    }

    public static function read(Node $told): self
    {
        $missing = array_filter(['lo', 'mid', 'hi'], static fn (string $key): bool => $told->numberOrNull($key) === null);
        if ($missing !== [] && count($missing) < 3) {
            throw DocumentError::at(reset($missing), 'Expected lowest, middle and highest value together, or none of them.', 'missing_key');
        }

        return new self($told->int('channel'), $missing === [] ? Reading::fromNode($told, '') : null);
    }

    /** @throws DocumentError at `lo` or `hi` if a servo would not stand it. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $row = (new TravelReview($rig))->row($this->channel) ?? throw DocumentError::at('channel', "Channel $this->channel carries no stick of this rig.", 'no_such_channel');
        $place = "settings.targets.$this->channel";
        if ($this->target === null) {
            return new Deed(RigPatch::of([], [$place]), ucfirst($row->function).' aimed where it is usual');
        }
        $safe = (new TravelContext($rig))->servos($row->function);
        if ($safe->lo !== null && $this->target->lo < $safe->lo) {
            throw DocumentError::at('lo', "Found {$this->target->lo} µs; the servo can take no less than $safe->lo µs.", 'out_of_range');
        }
        if ($safe->hi !== null && $this->target->hi > $safe->hi) {
            throw DocumentError::at('hi', "Found {$this->target->hi} µs; the servo can take no more than $safe->hi µs.", 'out_of_range');
        }

        return new Deed(RigPatch::of([$place => $this->target->values()]), sprintf('%s aimed at %g / %g / %g µs', ucfirst($row->function), ...$this->target->values()));
    }
}
