<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Alias;
use App\Models\Card;
use App\Models\Format;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\PlainText;
use Linguator\Core\Gear\AirNames;
use Linguator\Core\Gear\Plug;
use Linguator\Core\Wire\WireFormats;

/** What the user's manuals call the formats, families, variants and plugs of this bench. */
final readonly class NameThings
{
    private const MOST_EACH = 20;

    private const LONGEST = 200;

    /** @return array<string, array{kind: string, target: string, name: string, line: list<string>}> What can be named, by kind/target. */
    public function targets(): array
    {
        $targets = [];
        foreach (WireFormats::shipped() as $format) {
            $targets["format/$format->id"] = ['kind' => 'format', 'target' => $format->id, 'name' => $format->name, 'line' => $format->line];
        }
        foreach (Format::listed() as $own) {
            $targets["format/$own->id"] = ['kind' => 'format', 'target' => $own->id, 'name' => $own->name, 'line' => []];
        }
        $gear = array_map(static fn (Card $card) => $card->gear()->box(), Card::shelf());
        foreach (AirNames::families(...$gear) as $family) {
            $targets["family/$family"] = ['kind' => 'family', 'target' => $family, 'name' => $family, 'line' => []];
        }
        foreach (AirNames::variants(...$gear) as $variant) {
            $targets["variant/$variant"] = ['kind' => 'variant', 'target' => $variant, 'name' => str_replace('/', ', ', $variant), 'line' => []];
        }

        foreach (array_keys(Plug::on(...$gear)) as $plug) {
            $targets["plug/$plug"] = ['kind' => 'plug', 'target' => $plug, 'name' => ucfirst(Plug::told($plug)), 'line' => []];
        }

        return $targets;
    }

    /**
     * Gives one thing these names and no others.
     *
     * @param  list<string>  $aliases
     * @param  list<string>|null  $were  The names as the one who asks has read them; null: not told.
     *
     * @throws Conflict if they are others by now.
     * @throws DocumentError if there is no such thing, or a name cannot be one.
     */
    public function __invoke(string $kind, string $target, array $aliases, ?array $were): void
    {
        if (! isset($this->targets()["$kind/$target"])) {
            throw DocumentError::at('target', 'There is no '.Excerpt::text($kind).' '.Excerpt::of($target).' on this bench.', 'no_such_target');
        }
        $aliases = array_values(array_unique(array_filter(array_map(trim(...), $aliases), static fn (string $alias): bool => $alias !== '')));
        foreach ($aliases as $k => $alias) {
            if ($k >= self::MOST_EACH || ! self::isName($alias)) {
                throw DocumentError::at("aliases.$k", 'Expected at most '.self::MOST_EACH.' names of at most '.self::LONGEST.' characters each, of plain text.');
            }
        }
        DB::transaction(static function () use ($kind, $target, $aliases, $were): void {
            $there = Alias::byTarget()["$kind/$target"] ?? [];
            if ($were !== null && array_diff($were, $there) + array_diff($there, $were) !== []) {
                throw new Conflict('These names have been changed in another tab or window since this page read them: '.($there === [] ? 'none are left' : implode(', ', $there)).'.', ['aliases' => $there]);
            }
            Alias::query()->where(['kind' => $kind, 'target' => $target])->delete();
            foreach ($aliases as $alias) {
                Alias::query()->create(['kind' => $kind, 'target' => $target, 'alias' => $alias]);
            }
        });
    }

    /**
     * Adds names from an archive. One for a thing that is not on this bench would never be seen: it is left out, and counted.
     *
     * @param  list<\stdClass>  $names  Kind, target and alias, each a text.
     * @return array{names: int, names_left_out: int}
     */
    public function import(array $names): array
    {
        $targets = $this->targets();
        $there = Alias::byTarget();
        $count = ['names' => 0, 'names_left_out' => 0];
        foreach ($names as $name) {
            [$key, $alias] = ["$name->kind/$name->target", trim((string) $name->alias)];
            if (in_array($alias, $there[$key] ?? [], true)) {
                continue;
            }
            if (! isset($targets[$key]) || ! self::isName($alias) || count($there[$key] ?? []) >= self::MOST_EACH) {
                $count['names_left_out']++;

                continue;
            }
            Alias::query()->create(['kind' => $name->kind, 'target' => $name->target, 'alias' => $alias]);
            $there[$key][] = $alias;
            $count['names']++;
        }

        return $count;
    }

    /**
     * How many names are not here yet.
     *
     * @param  list<\stdClass>  $names  Kind, target and alias, each a text.
     */
    public function missing(array $names): int
    {
        $there = Alias::byTarget();

        return count(array_filter($names, static fn (\stdClass $name): bool => ! in_array(trim((string) $name->alias), $there["$name->kind/$name->target"] ?? [], true)));
    }

    private static function isName(string $alias): bool
    {
        return $alias !== '' && mb_strlen($alias) <= self::LONGEST && PlainText::is($alias);
    }
}
