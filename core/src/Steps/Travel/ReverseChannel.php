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
use Linguator\Core\Rig\SwitchSetting;

/** A channel moves the wrong way and is turned round in the handset; ends and sub-trim stay as they are. */
final readonly class ReverseChannel implements Intent
{
    public function __construct(private int $channel)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->int('channel'));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $row = (new TravelReview($rig))->row($this->channel);
        if ($row === null && ! $this->isOnASwitch($rig)) {
            throw DocumentError::at('channel', "Channel $this->channel carries no stick and no switch of this rig.", 'no_such_channel');
        }
        $turned = (new ChannelRecord($rig, $this->channel))->now()->reversed();
        $ends = $row?->predictedWith($turned)?->values();
        $items = ChannelItems::of($rig)->put($this->channel, ['reversed' => $turned->reversed, ...($ends === null ? [] : ['ends_us' => $ends])]);

        return new Deed($items->patch(), $turned->reversed ? "Channel $this->channel reversed in the handset" : "Channel $this->channel no longer reversed in the handset");
    }

    private function isOnASwitch(RigDocument $rig): bool
    {
        return array_filter($rig->switches(), fn (SwitchSetting $switch): bool => $switch->channel === $this->channel) !== [];
    }
}
