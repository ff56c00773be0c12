<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Kind;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Steps\Handset\HandsetReview;

/**
 * A second rig from a first: what is set in the handset is kept, and so is what was proven of it.
 *
 * What lies in hardware is another's: nobody has bound, read, plugged or tested the second craft, so its binding, its readings,
 * what its receivers store and every check of them are open, and so is the sign-off.
 */
final readonly class Duplicate
{
    /** @param  string|null  $receiver  Id of another receiver on the shelf to stand in the last one's place. */
    public function __construct(private string $name, private ?string $receiver)
    {
    }

    /**
     * @return \stdClass The document of the second rig, without an id.
     *
     * @throws DocumentError if the receiver is not on the shelf, or the chain has none.
     */
    public function of(RigDocument $rig, Occasion $occasion): \stdClass
    {
        $document = clone $rig->document;
        $document->name = $this->name;
        $settings = $this->settings($rig);
        $document->settings = $settings;
        $document->checks = array_values(array_map(
            static fn (Node $check): \stdClass => $check->value,
            array_filter($rig->node()->nodes('checks'), static fn (Node $check): bool => ! CheckKind::from($check->text('check'))->liesInHardware()),
        ));
        unset($document->sign_offs, $document->uid, $document->attempts, $document->measurements);
        if ($this->receiver !== null) {
            $document->chain = $this->exchanged($rig, $this->receiver, $occasion, $settings);
        }
        $text = "Duplicated from {$rig->name()}".($this->receiver === null ? '' : " for $this->receiver");
        $document->log = [(object) ['at' => $occasion->at, 'kind' => EntryKind::Note->value, 'text' => $text]];

        return $document;
    }

    /** Without what was read in the first craft, what its receivers store, what was ticked off in its boxes, and what was left as it is there. */
    private function settings(RigDocument $rig): \stdClass
    {
        $settings = clone $rig->settings()->value;
        unset($settings->failsafe, $settings->noise_us, $settings->left);
        if (isset($settings->done)) {
            $settings->done = (object) array_filter((array) $settings->done, fn (string $place): bool => $this->isAtTheHandset($rig, $place), ARRAY_FILTER_USE_KEY);
        }
        if (isset($settings->channels)) {
            $settings->channels = array_map(static function (Node $channel): \stdClass {
                $set = clone $channel->value;
                unset($set->ends_us);

                return $set;
            }, $rig->settings()->nodes('channels'));
        }

        return $settings;
    }

    /** @param  string  $place  `box/setting`; the handset and what it sends through fly both rigs, from the first receiver on all is there twice. */
    private function isAtTheHandset(RigDocument $rig, string $place): bool
    {
        $box = explode('/', $place, 2)[0];
        $sending = array_slice($rig->boxes->ids(), 0, $rig->boxes->receiverAt(1) ?? 1);

        return $box === HandsetReview::BOX || in_array($box, $sending, true);
    }

    /** @return list<mixed> The chain with the other receiver in the last one's place; the links to the old one, which say nothing of the new one, are gone. */
    private function exchanged(RigDocument $rig, string $receiver, Occasion $occasion, \stdClass $settings): array
    {
        $card = $occasion->shelf->card($receiver);
        if ($card === null || ($card->kind ?? null) !== Kind::Receiver->value) {
            throw DocumentError::at('receiver', 'Found '.Excerpt::of($receiver).'; expected a receiver on the shelf.', 'not_on_shelf');
        }
        $last = $rig->boxes->lastReceiverAt() ?? throw DocumentError::at('receiver', 'This chain has no receiver to exchange.', 'no_receiver');
        $old = $rig->boxes->all[$last]->id();
        $chain = $rig->node()->items('chain');
        $chain[$last] = $card;
        $links = array_filter($rig->settings()->nodes('links'), static fn (Node $link): bool => $link->text('from') !== $old && $link->text('to') !== $old);
        $settings->links = array_values(array_map(static fn (Node $link): \stdClass => $link->value, $links));

        return array_values($chain);
    }
}
