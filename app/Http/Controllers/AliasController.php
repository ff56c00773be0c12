<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answer;
use App\Http\RequestDocument;
use App\Models\Alias;
use App\Models\Card;
use App\Models\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\AirNames;
use Linguator\Core\Wire\WireFormats;

/** What the user's manuals call wire formats, protocol families and variants. */
final readonly class AliasController
{
    private const MAX_EACH = 20;

    public function index(): JsonResponse
    {
        $named = Alias::byTarget();
        $entries = [];
        foreach ($this->targets() as $key => $entry) {
            $entries[] = $entry + ['aliases' => $named[$key] ?? []];
        }

        return Answer::json(['entries' => $entries]);
    }

    public function update(Request $request): JsonResponse
    {
        $document = RequestDocument::of($request);
        [$kind, $target] = [$document->text('kind'), $document->text('target')];
        if (! isset($this->targets()["$kind/$target"])) {
            throw DocumentError::at('target', "There is no $kind \"$target\" on this bench.", 'no_such_target');
        }
        $aliases = array_values(array_unique(array_filter(array_map(trim(...), $document->texts('aliases')))));
        foreach ($aliases as $k => $alias) {
            if (mb_strlen($alias) > 200 || $k >= self::MAX_EACH) {
                throw DocumentError::at("aliases.$k", 'Expected at most '.self::MAX_EACH.' names of at most 200 characters each.');
            }
        }
        DB::transaction(static function () use ($kind, $target, $aliases): void {
            Alias::query()->where(['kind' => $kind, 'target' => $target])->delete();
            foreach ($aliases as $alias) {
                Alias::query()->create(['kind' => $kind, 'target' => $target, 'alias' => $alias]);
            }
        });

        return $this->index();
    }

    /** @return array<string, array{kind: string, target: string, name: string, line: list<string>}> */
    private function targets(): array
    {
        $targets = [];
        foreach (WireFormats::shipped() as $format) {
            $targets["format/$format->id"] = ['kind' => 'format', 'target' => $format->id, 'name' => $format->name, 'line' => $format->line];
        }
        foreach (Format::listed() as $own) {
            $targets["format/$own->id"] = ['kind' => 'format', 'target' => $own->id, 'name' => $own->name, 'line' => []];
        }
        $gear = array_map(static fn (Card $card) => $card->gear()->box(), Card::shelf());
        foreach (AirNames::families($gear) as $family) {
            $targets["family/$family"] = ['kind' => 'family', 'target' => $family, 'name' => $family, 'line' => []];
        }
        foreach (AirNames::variants($gear) as $variant) {
            $targets["variant/$variant"] = ['kind' => 'variant', 'target' => $variant, 'name' => str_replace('/', ', ', $variant), 'line' => []];
        }

        return $targets;
    }
}
