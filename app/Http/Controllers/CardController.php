<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SaveCards;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Starters;
use Linguator\Core\Rig\BoxLine;

final readonly class CardController
{
    public function __construct(private CardReader $reader, private SaveCards $save)
    {
    }

    public function index(): JsonResponse
    {
        return Answer::json(['cards' => array_map($this->listed(...), Card::shelf())]);
    }

    /** Generic cards to begin from: read when a new card is begun only. */
    public function starters(): JsonResponse
    {
        return Answer::json(Plain::of((object) ['starters' => Starters::all()]));
    }

    public function show(Card $card): JsonResponse
    {
        return Answer::json($this->shown($card));
    }

    public function store(Request $request): JsonResponse
    {
        return Answer::json($this->shown($this->save->add($this->sent(RequestDocument::of($request)))), 201);
    }

    public function update(Request $request, Card $card): JsonResponse
    {
        $document = RequestDocument::of($request);

        return Answer::json($this->shown($this->save->replace($card, $document->int('revision'), $this->sent($document))));
    }

    public function destroy(Card $card): JsonResponse
    {
        $rigs = $this->rigsWith($card->id);
        $document = $card->gear()->canonical();
        $card->delete();

        return Answer::json(['deleted' => $document, 'rigs' => $rigs]);
    }

    public function import(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);

        return Answer::json($this->save->import($this->reader->fromText($document->text('text')), $document->flag('replace')));
    }

    public function export(Card $card, string $format): Response
    {
        return Answer::file(self::printed($card->gear()->canonical(), $format), "$card->id.$format");
    }

    public function exportAll(string $format): Response
    {
        $cards = array_map(static fn (Card $card): \stdClass => $card->gear()->canonical(), Card::shelf());

        return Answer::file(self::printed($cards, $format), "shelf.$format");
    }

    /** The card itself, or its YAML or JSON as text. */
    private function sent(RequestDocument $document): GearCard
    {
        if (! $document->has('text')) {
            return $this->reader->fromDocument($document->get('card'));
        }
        $cards = $this->reader->fromText($document->text('text'));

        return count($cards) === 1 ? $cards[0] : throw new DocumentError('not_one', 'Found '.count($cards).' cards; expected one. Several go in by "Import cards".', 'text');
    }

    private static function printed(mixed $value, string $format): string
    {
        return $format === 'json' ? Json::pretty($value) : Yaml::dump($value);
    }

    /** @return array<string, mixed> */
    private function listed(Card $card): array
    {
        $gear = $card->gear();

        return [
            'id' => $gear->id,
            'kind' => $gear->kind->value,
            'name' => $gear->name,
            'aliases' => $gear->aliases(),
            'line' => BoxLine::of($gear->box()),
        ];
    }

    /** @return array<string, mixed> */
    private function shown(Card $card): array
    {
        return ['card' => $card->gear()->canonical(), 'revision' => $card->revision, 'rigs' => $this->rigsWith($card->id)];
    }

    /** @return list<array{slug: string, name: string}> Rigs whose chain holds a copy of this card. */
    private function rigsWith(string $id): array
    {
        $rigs = array_filter(Rig::bench(), static fn (Rig $rig): bool => $rig->rig()->card($id) !== null);

        return array_values(array_map(static fn (Rig $rig): array => ['slug' => $rig->slug, 'name' => $rig->name], $rigs));
    }
}
