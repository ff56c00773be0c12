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

/** The computed ends and sub-trims of these channels are entered in the handset. */
final readonly class TakeSettings implements Intent
{
    /**
     * @param  list<int>  $channels
     * @param  list<int>  $reverse  Those whose direction is turned round.
     */
    public function __construct(private array $channels, private array $reverse = [])
    {
    }

    public static function read(Node $told): self
    {
        return new self(self::integers($told, 'channels'), self::integers($told, 'reverse'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $review = new TravelReview($rig, TravelDrafts::reversing($rig, $this->reverse)->sound);
        $items = ChannelItems::of($rig);
        foreach ($this->channels as $k => $channel) {
            $row = $review->row($channel);
            $solution = $row?->solution() ?? throw DocumentError::at("channels.$k", "Nothing is computed for channel $channel; read it first.", 'nothing_computed');
            // The document says whether the channel is reversed; the solution says whether to flip what the reading was made with.
            $with = $row->last()->with ?? (new ChannelRecord($rig, $channel))->now();
            $set = $solution->settings;
            // By the cards alone nobody knows what it sends.
            $ends = $row->last() === null ? [] : ['ends_us' => $solution->predicted->values()];
            $items = $items->put($channel, [
                'reversed' => $with->reversed !== $set->reversed, 'lo_pct' => $set->loPct, 'hi_pct' => $set->hiPct, 'subtrim' => $set->subtrim, ...$ends,
            ]);
        }

        return new Deed($items->patch(), 'Ends and sub-trim entered for channel '.implode(', ', $this->channels));
    }

    /** @return list<int> */
    private static function integers(Node $told, string $key): array
    {
        return array_map(intval(...), $told->numbersOrNull($key) ?? []);
    }
}
