<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** What is set for one stick is set for others on the same gimbals (rule T7); each is then to be read for itself. */
final readonly class CopySettings implements Intent
{
    /** @param  list<int>  $to */
    public function __construct(private int $from, private array $to)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('from'), array_map(intval(...), $told->numbersOrNull('to') ?? []));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $set = (new ChannelRecord($rig, $this->from))->now();
        $items = ChannelItems::of($rig);
        foreach ($this->to as $channel) {
            $items = $items->put($channel, ['reversed' => (new ChannelRecord($rig, $channel))->now()->reversed, 'lo_pct' => $set->loPct, 'hi_pct' => $set->hiPct, 'subtrim' => $set->subtrim]);
        }

        return new Deed($items->patch(), "Settings of channel $this->from copied to channel ".implode(', ', $this->to));
    }
}
