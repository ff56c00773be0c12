<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Travel\Reading;

/** A channel was read at both ends and at rest, with what is set now; what it sends is then known. */
final readonly class KeepReading implements Intent
{
    /**
     * @param  float|null  $noiseUs  Standard deviation at rest, µs.
     * @param  string  $source  Where it was read; empty: not said.
     * @param  string|null  $capture  The name of the capture it was read from.
     * @param  bool  $isReversed  Its values fell where the stick rose; the reading has them in order.
     */
    public function __construct(private int $channel, private Reading $reading, private ?float $noiseUs = null, private string $source = '', private ?string $capture = null, private bool $isReversed = false)
    {
    }

    public static function read(Node $told): self
    {
        $isReversed = $told->flag('reversed');
        $reading = $isReversed ? Reading::falling($told->number('lo'), $told->number('mid'), $told->number('hi')) : Reading::fromNode($told, '');

        return new self($told->int('channel'), $reading, $told->numberOrNull('noise_us'), $told->textOrNull('source') ?? '', isReversed: $isReversed);
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        if ((new TravelReview($rig))->row($this->channel) === null) {
            throw DocumentError::at('channel', "Channel $this->channel carries no stick of this rig.", 'no_such_channel');
        }
        $reading = $this->reading;
        $measurement = (object) array_filter([
            'at' => $occasion->at, 'channel' => $this->channel, 'lo_us' => $reading->lo, 'mid_us' => $reading->mid, 'hi_us' => $reading->hi,
            'noise_us' => $this->noiseUs, 'source' => $this->source, 'settings' => (object) Plain::object((new ChannelRecord($rig, $this->channel))->now()),
        ], static fn (mixed $value): bool => $value !== null && $value !== '');
        // One that is set as reversed and reads so is as it should be; one that is not is to be turned round.
        $turns = $this->isReversed && ! (new ChannelRecord($rig, $this->channel))->now()->reversed;
        $patch = ChannelItems::of($rig)->put($this->channel, ['ends_us' => $reading->values(), ...($turns ? ['reversed' => true] : [])])->patch()->adding('measurements', [$measurement]);

        $values = sprintf('%g / %g / %g µs', $reading->lo, $reading->mid, $reading->hi);
        $sentence = $this->capture === null ? "Channel $this->channel read: $values" : "Read from the capture $this->capture: channel $this->channel $values";

        return new Deed($patch, $sentence.($turns ? ', falling: reversed in the handset' : ''), EntryKind::Measurement);
    }
}
