<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SaveFormat;
use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Format\FormatCards;

/** Serial formats as cards: the shipped ones to look at and to begin from, the user's own to change. */
final readonly class FormatController
{
    public function index(): JsonResponse
    {
        return Answer::json([
            'shipped' => array_map(static fn (string $id): array => ['id' => $id, 'name' => FormatCards::get($id)?->name, 'text' => FormatCards::text($id)], FormatCards::ids()),
            'own' => array_map(static fn (Format $format): array => ['id' => $format->id, 'name' => $format->name, 'text' => Yaml::dump(Json::decode($format->document))], Format::listed()),
        ]);
    }

    /** A card as YAML or JSON; the same id replaces it only when that is said. */
    public function import(Request $request, SaveFormat $save): JsonResponse
    {
        $document = RequestDocument::of($request);
        $format = $save($document->text('text'), $document->flag('replace'));

        return Answer::json(['id' => $format->id, 'name' => $format->name], 201);
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
}
