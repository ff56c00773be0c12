<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;

/** Serial formats as cards: the shipped ones to look at and to begin from, the user's own to change. */
final readonly class FormatController
{
    private const LARGEST_BYTES = 65_536;

    private const MOST = 100;

    public function __construct(private Schemas $schemas)
    {
    }

    public function index(): JsonResponse
    {
        return Answer::json([
            'shipped' => array_map(static fn (string $id): array => ['id' => $id, 'name' => FormatCards::get($id)?->name, 'text' => FormatCards::text($id)], FormatCards::ids()),
            'own' => array_map(static fn (Format $format): array => ['id' => $format->id, 'name' => $format->name, 'text' => Yaml::dump(Json::decode($format->document))], Format::listed()),
        ]);
    }

    /** A card as YAML or JSON; the same id replaces it only when that is said. */
    public function import(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);
        $text = $document->text('text');
        if (strlen($text) > self::LARGEST_BYTES) {
            throw DocumentError::at('text', 'Found '.strlen($text).' bytes; expected a format card of at most 64 kB.', 'too_large');
        }
        $value = self::parse($text);
        $card = FormatCard::of($value, $this->schemas);
        if (FormatCards::get($card->id) !== null) {
            throw DocumentError::at('id', 'Found '.Excerpt::of($card->id).', which is a shipped format; expected an id of your own.', 'taken');
        }
        DB::transaction(static function () use ($card, $value, $document): void {
            $there = Format::query()->find($card->id);
            if ($there !== null && ! $document->flag('replace')) {
                throw DocumentError::at('id', 'There is a format '.Excerpt::of($card->id).' already; say that it is to be replaced, or give this one another id.', 'exists');
            }
            if ($there === null && Format::query()->count() >= self::MOST) {
                throw DocumentError::at('id', 'There are '.self::MOST.' formats already; take one away first.', 'too_many');
            }
            Format::query()->updateOrCreate(['id' => $card->id], ['name' => $card->name, 'document' => Json::compact($value)]);
        });

        return Answer::json(['id' => $card->id, 'name' => $card->name], 201);
    }

    public function export(string $format, string $as): Response
    {
        $own = Format::query()->find($format);
        if (! $own instanceof Format) {
            throw DocumentError::at('format', 'There is no format of yours called '.Excerpt::of($format).'.', 'no_such_format');
        }
        $value = Json::decode($own->document);

        return Answer::file($as === 'json' ? Json::pretty($value) : Yaml::dump($value), "$own->id.$as");
    }

    public function destroy(Format $format): JsonResponse
    {
        $text = Yaml::dump(Json::decode($format->document));
        $format->delete();

        return Answer::json(['deleted' => $text]);
    }

    private static function parse(string $text): mixed
    {
        if (str_starts_with(ltrim($text), '{')) {
            return Json::decode($text);
        }
        $documents = Yaml::decodeAll($text);

        return count($documents) === 1 ? $documents[0]['value'] : throw DocumentError::at('text', 'Found '.count($documents).' documents; expected one format card.', 'not_one');
    }
}
