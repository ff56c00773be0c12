<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Travel\ChannelSettings;
use Linguator\Core\Travel\Reading;
use Linguator\Core\Travel\SubtrimModel;

/** Changes the travel step makes to a rig's document. */
final readonly class TravelChange
{
    public function __construct(private RigDocument $rig)
    {
    }

    /** Keeps a reading, made with what is set now; what the channel sends is then known. */
    public function reading(int $channel, Reading $reading, ?float $noiseUs, string $source, string $at): RigPatch
    {
        $now = (new ChannelRecord($this->rig, $channel))->now();
        $measurement = (object) array_filter([
            'at' => $at, 'channel' => $channel, 'lo_us' => $reading->lo, 'mid_us' => $reading->mid, 'hi_us' => $reading->hi,
            'noise_us' => $noiseUs, 'source' => $source, 'settings' => (object) $now->toArray(),
        ], static fn (mixed $value): bool => $value !== null && $value !== '');

        return RigPatch::of([
            'settings.channels' => $this->channels([$channel => ['ends_us' => [$reading->lo, $reading->mid, $reading->hi]]]),
        ])->adding('measurements', [$measurement]);
    }

    /**
     * Takes the computed settings of these channels over, as entered in the handset.
     *
     * @param  list<int>  $channels
     *
     * @throws DocumentError if nothing is computed for one of them.
     */
    public function take(TravelReview $review, array $channels): RigPatch
    {
        $changes = [];
        foreach ($channels as $k => $channel) {
            $solution = $review->row($channel)?->solution() ?? throw DocumentError::at("channels.$k", "Nothing is computed for channel $channel; read it first.", 'nothing_computed');
            $now = (new ChannelRecord($this->rig, $channel))->now();
            // The document says whether the channel is reversed; the solution says whether to flip what the reading was made with.
            $with = $review->row($channel)->last()->with ?? $now;
            $changes[$channel] = self::entered($solution->settings, $with->reversed !== $solution->settings->reversed)
                + ['ends_us' => array_values($solution->predicted->toArray())];
        }

        return RigPatch::of(['settings.channels' => $this->channels($changes)]);
    }

    /**
     * Copies what is set for one stick to others on the same gimbals (rule T7); each is then to be read for itself.
     *
     * @param  list<int>  $to
     */
    public function copy(int $from, array $to): RigPatch
    {
        $set = (new ChannelRecord($this->rig, $from))->now();
        $changes = [];
        foreach ($to as $channel) {
            $changes[$channel] = self::entered($set, (new ChannelRecord($this->rig, $channel))->now()->reversed);
        }

        return RigPatch::of(['settings.channels' => $this->channels($changes)]);
    }

    /** Writes what two readings have told of the sub-trim onto this rig's copy of the handset's card. */
    public function model(SubtrimModel $model): RigPatch
    {
        $chain = array_map(static fn (mixed $card): mixed => unserialize(serialize($card), ['allowed_classes' => [\stdClass::class]]), $this->rig->node()->items('chain'));
        $handset = $chain[0] ?? null;
        if (! $handset instanceof \stdClass || $this->rig->handset() === null) {
            throw DocumentError::at('model', 'There is no handset in this chain yet.', 'no_handset');
        }
        $handset->scale = ($handset->scale ?? null) instanceof \stdClass ? $handset->scale : new \stdClass;
        $handset->scale->subtrim_model = $model->value;

        return RigPatch::of(['chain' => $chain]);
    }

    /** @return array<string, mixed> */
    private static function entered(ChannelSettings $set, bool $reversed): array
    {
        return ['reversed' => $reversed, 'lo_pct' => $set->loPct, 'hi_pct' => $set->hiPct, 'subtrim' => $set->subtrim];
    }

    /**
     * The rig's channel settings with some keys of some channels changed, by channel.
     *
     * @param  array<int, array<string, mixed>>  $changes
     * @return list<\stdClass>
     */
    private function channels(array $changes): array
    {
        $channels = [];
        foreach ($this->rig->settings()->nodes('channels') as $entry) {
            $channels[$entry->int('channel')] = get_object_vars($entry->value);
        }
        foreach ($changes as $channel => $change) {
            $channels[$channel] = $change + ($channels[$channel] ?? ['channel' => $channel]);
        }
        ksort($channels);

        return array_map(static fn (array $entry): \stdClass => (object) $entry, array_values($channels));
    }
}
