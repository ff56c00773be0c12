<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Travel\ChannelSettings;

/**
 * What is set for one stick is set for others on the same gimbals (rule T7); each is then to be read for itself.
 *
 * A throttle without a spring takes the ends, and keeps its sub-trim.
 */
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
        $review = new TravelReview($rig);
        $items = ChannelItems::of($rig);
        foreach ($this->to as $k => $channel) {
            $row = $review->row($channel) ?? throw DocumentError::at("to.$k", "Channel $channel carries no stick of this rig.", 'no_such_channel');
            $there = (new ChannelRecord($rig, $channel))->now();
            $taken = new ChannelSettings($set->loPct, $set->hiPct, $row->centres() ? $set->subtrim : $there->subtrim, $there->reversed);
            // What it sends with them is not known before it is read; a reading made before them tells what it would be.
            $items = $items->put($channel, ['reversed' => $there->reversed, 'lo_pct' => $taken->loPct, 'hi_pct' => $taken->hiPct, 'subtrim' => $taken->subtrim, 'ends_us' => $row->predictedWith($taken)?->values()]);
        }

        return new Deed($items->patch(), "Settings of channel $this->from copied to channel ".implode(', ', $this->to));
    }
}
