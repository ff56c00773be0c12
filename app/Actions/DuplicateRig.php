<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Card;
use App\Models\Rig;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Rig\RigReader;

/** A second rig from a first: what is set is kept, checks hold where nothing they depend on differs, and the sign-off is open. */
final readonly class DuplicateRig
{
    public function __construct(private RigReader $reader, private ImportRig $import)
    {
    }

    /**
     * @param  string|null  $receiver  Id of another receiver on the shelf to stand in the last one's place.
     *
     * @throws DocumentError if the receiver is not on the shelf or the chain has none.
     */
    public function __invoke(Rig $rig, string $name, ?string $receiver, string $at): Rig
    {
        $document = $rig->plain();
        $document->name = $name;
        unset($document->sign_offs);
        if ($receiver !== null) {
            $this->exchange($document, $receiver);
        }
        $document->uid = ImportRig::newUid();
        $document->log = [(object) ['at' => $at, 'kind' => 'note', 'text' => "Duplicated from $rig->name".($receiver === null ? '' : " for $receiver")]];

        return ($this->import)($this->reader->fromDocument($document));
    }

    private function exchange(\stdClass $document, string $receiver): void
    {
        $card = Card::documentOf($receiver);
        if ($card === null || ($card->kind ?? null) !== 'receiver') {
            throw DocumentError::at('receiver', 'Found '.Excerpt::of($receiver).'; expected a receiver on the shelf.', 'not_on_shelf');
        }
        $chain = is_array($document->chain) ? array_values($document->chain) : [];
        $positions = array_keys(array_filter($chain, static fn (mixed $box): bool => $box instanceof \stdClass && ($box->kind ?? null) === 'receiver'));
        if ($positions === []) {
            throw DocumentError::at('receiver', 'This chain has no receiver to exchange.', 'no_receiver');
        }
        $last = $positions[count($positions) - 1];
        $old = $chain[$last]->id;
        $chain[$last] = $card;
        $document->chain = $chain;
        // Links to the old one say nothing of the new one.
        $links = $document->settings->links ?? [];
        $document->settings->links = array_values(array_filter(is_array($links) ? $links : [], static fn (mixed $link): bool => $link instanceof \stdClass && $link->from !== $old && $link->to !== $old));
    }
}
