<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Card;
use App\Models\Rig;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Linguator\Core\Bench\Intents;
use Linguator\Core\Bench\RigPlan;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\BegunCard;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Gear\Starters;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;

/**
 * Somebody starts with the gear in front of them: boxes are begun from starter cards or taken from the shelf, a rig is made of them, and joined
 * where they join. All of it or nothing.
 */
final readonly class StartRig
{
    /** Boxes with a radio: what it speaks is asked once for both ends. */
    private const WITH_AIR = ['handset', 'module', 'receiver'];

    public function __construct(
        private CardReader $cards,
        private SaveCards $saveCards,
        private RigReader $rigs,
        private ImportRig $importRig,
        private DoToRig $do,
        private Intents $intents,
        private Schemas $schemas,
    ) {
    }

    /** @throws DocumentError at the box that is none. */
    public function __invoke(\stdClass $told): Rig
    {
        $told = new Node($this->schemas->check($told, 'start-question.schema.json'));

        return DB::transaction(function () use ($told): Rig {
            $ids = $this->boxes($told);
            $blank = RigDocument::blank(trim($told->text('name')), $told->text('craft_kind'));
            $blank->uid = ImportRig::newUid();
            $rig = ($this->importRig)($this->rigs->fromDocument($blank));
            $rig = $this->doTo($rig, 'ask-handset', ['handset' => $ids['handset']]);
            $rig = $this->doTo($rig, 'ask-craft', ['craft' => $ids['craft']]);
            $craft = Card::query()->findOrFail($ids['craft'])->gear()->box();
            $rig = $craft instanceof ServoSet && $craft->functions !== [] ? $this->doTo($rig, 'ask-channels', ['channels' => $craft->channels()]) : $rig;
            $between = array_values(array_intersect_key($ids, ['module' => true, 'receiver' => true]));
            $rig = $between === [] ? $rig : $this->doTo($rig, 'ask-through', ['boxes' => $between]);

            return $this->joined($rig);
        });
    }

    /** @return array<string, string> Ids of the cards, by what they are in the chain. */
    private function boxes(Node $told): array
    {
        $ids = [];
        foreach (['handset', 'module', 'receiver', 'craft'] as $place) {
            $held = $told->node($place);
            if ($held !== null) {
                $ids[$place] = $held->textOrNull('card') ?? $this->begun($place, $held, $this->airOf($place, $told));
            }
            if (isset($ids[$place]) && ! Card::query()->whereKey($ids[$place])->exists()) {
                throw DocumentError::at($place, "Found no card {$ids[$place]} on the shelf.", 'no_such_card');
            }
        }

        return $ids;
    }

    /** A handset with a module in its bay speaks through that. */
    private function airOf(string $place, Node $told): ?\stdClass
    {
        $air = $told->node('air');
        $isSpoken = in_array($place, self::WITH_AIR, true) && ! ($place === 'handset' && $told->node('module') !== null);

        return $air === null || ! $isSpoken ? null : (object) ['family' => self::id($air->text('family'), 32), 'variant' => self::id($air->text('variant'), 32)];
    }

    private function begun(string $place, Node $held, ?\stdClass $air): string
    {
        $title = $held->textOrNull('starter') ?? '';
        foreach (Starters::all() as $starter) {
            if ($starter->title === $title) {
                $name = trim($held->textOrNull('name') ?? $title);
                $document = BegunCard::document($starter, FreeName::of($name, 'own', static fn (string $id): bool => Card::query()->whereKey($id)->exists()), $name, $air);

                return $this->saveCards->add($this->cards->fromDocument($document))->id;
            }
        }
        throw DocumentError::at($place, "Found “{$title}”; expected a card of the shelf or a starter by its title.", 'no_such_starter');
    }

    private function joined(Rig $rig): Rig
    {
        $shelf = array_map(static fn (Card $card): \stdClass => $card->gear()->document, Card::shelf());
        $best = (new RigPlan($rig->rig(), $shelf))->best($this->schemas);

        return $best === null ? $rig : $this->doTo($rig, 'take-path', get_object_vars($best));
    }

    /** @param  array<string, mixed>  $told */
    private function doTo(Rig $rig, string $intent, array $told): Rig
    {
        return ($this->do)($rig, $rig->revision, $this->intents->read($intent, (object) $told));
    }

    private static function id(string $text, int $most): string
    {
        return Str::limit(Str::slug($text), $most, '') ?: 'own';
    }
}
