<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Gear\Kind;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;

/** A second rig from a first: what is set is kept, checks hold where nothing they depend on differs, and the sign-off is open. */
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
        unset($document->sign_offs, $document->uid);
        if ($this->receiver !== null) {
            $this->exchange($rig, $document, $this->receiver, $occasion);
        }
        $text = "Duplicated from {$rig->name()}".($this->receiver === null ? '' : " for $this->receiver");
        $document->log = [(object) ['at' => $occasion->at, 'kind' => EntryKind::Note->value, 'text' => $text]];

        return $document;
    }

    private function exchange(RigDocument $rig, \stdClass $document, string $receiver, Occasion $occasion): void
    {
        $card = $occasion->shelf->card($receiver);
        if ($card === null || ($card->kind ?? null) !== Kind::Receiver->value) {
            throw DocumentError::at('receiver', 'Found '.Excerpt::of($receiver).'; expected a receiver on the shelf.', 'not_on_shelf');
        }
        $last = $rig->boxes->lastReceiverAt() ?? throw DocumentError::at('receiver', 'This chain has no receiver to exchange.', 'no_receiver');
        $old = $rig->boxes->all[$last]->id();
        $chain = $rig->node()->items('chain');
        $chain[$last] = $card;
        $document->chain = $chain;
        $document->settings = clone $rig->settings()->value;
        // Links to the old one say nothing of the new one.
        $links = array_filter($rig->settings()->nodes('links'), static fn ($link): bool => $link->text('from') !== $old && $link->text('to') !== $old);
        $document->settings->links = array_values(array_map(static fn ($link): \stdClass => $link->value, $links));
    }
}
