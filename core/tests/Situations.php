<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Bench\Intents;
use Linguator\Core\Bench\RigPlan;
use Linguator\Core\Bench\RigReview;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigReader;
use Linguator\Core\Verb\Verbs;

/**
 * What people come with, from an empty rig to where it can be carried: each is a list of things that somebody means, in the order in which
 * they are done (tests/fixtures/situations). Everything goes through the intents, as from a screen.
 */
final class Situations
{
    /** Stands for a step of its own: the way that the search finds, with these boxes. */
    private const TAKE = 'take';

    /** Stands for a card edited on the shelf, and taken over. */
    private const EDIT = 'edit';

    /** @return array<string, \stdClass> By name. */
    public static function all(): array
    {
        $all = [];
        foreach (self::read('situations') as $situation) {
            $all[$situation->name] = $situation;
        }

        return $all;
    }

    public static function rig(\stdClass $situation): RigDocument
    {
        return self::after(RigDocument::of(RigDocument::blank($situation->title, $situation->craft)), $situation->does, '10');
    }

    /** To the end, by what the screens ask for: what somebody decides once it is seen, and what is left as it is by its reason. */
    public static function walked(\stdClass $situation): Walk
    {
        return Walk::toTheEnd(self::after(self::rig($situation), $situation->then ?? [], '11'), get_object_vars($situation->leaves ?? new \stdClass));
    }

    /** @param  list<\stdClass>  $deeds */
    private static function after(RigDocument $rig, array $deeds, string $hour): RigDocument
    {
        foreach ($deeds as $k => $deed) {
            [$intent, $told] = [key((array) $deed), current((array) $deed)];
            $at = sprintf('2026-11-20T%s:%02d:00Z', $hour, $k);
            $rig = match ($intent) {
                self::TAKE => self::taken($rig, $told, $at),
                self::EDIT => self::done($rig, 'take-cards', (object) ['cards' => [$told->id]], new Occasion($at, self::shelf($told))),
                default => self::done($rig, $intent, $told, new Occasion($at, self::shelf())),
            };
        }

        return $rig;
    }

    /** What a screen gets of it. */
    public static function review(\stdClass $situation): mixed
    {
        return json_decode((string) json_encode(Plain::of((new RigReview(self::rig($situation)))->shown()), JSON_PRESERVE_ZERO_FRACTION));
    }

    public static function done(RigDocument $rig, string $intent, \stdClass $told, Occasion $occasion): RigDocument
    {
        $deed = (new Intents(new Schemas))->read($intent, $told)->on($rig, $occasion);
        $document = json_decode((string) json_encode($deed->patch->apply($rig->document)->document, JSON_PRESERVE_ZERO_FRACTION));

        return (new RigReader(new Schemas, self::shelf()))->fromDocument($document);
    }

    /** @param  list<string>  $boxes */
    private static function taken(RigDocument $rig, array $boxes, string $at): RigDocument
    {
        $answer = (new Verbs(new Schemas))->ask('plan', Json::decode(Json::compact((new RigPlan($rig, array_values(self::cards())))->question())));
        foreach ($answer['paths'] as $path) {
            if ($path['boxes'] === $boxes) {
                $told = Json::decode(Json::compact(['boxes' => $path['boxes'], 'links' => $path['links']]));

                return self::done($rig, 'take-path', $told, new Occasion($at, self::shelf()));
            }
        }
        throw new \LogicException('No way through '.implode(' → ', $boxes).'; found '.implode('; ', array_map(static fn (array $path): string => implode(' → ', $path['boxes']), $answer['paths'])).json_encode($answer['nearest_miss'] ?? null));
    }

    /** @param  \stdClass|null  $edited  Keys of one card that are otherwise. */
    public static function shelf(?\stdClass $edited = null): Shelf
    {
        $cards = self::cards();
        if ($edited !== null) {
            $cards[$edited->id] = (object) array_merge((array) $cards[$edited->id], (array) $edited);
        }

        return new Shelf(static fn (string $id): ?\stdClass => $cards[$id] ?? null);
    }

    /** @return array<string, \stdClass> The demo's cards, and those that a situation needs. */
    private static function cards(): array
    {
        static $cards = null;
        if ($cards === null) {
            $cards = [];
            foreach (glob(dirname(__DIR__, 2).'/demo/gear/*.yaml') ?: [] as $file) {
                foreach (Yaml::decodeAll((string) file_get_contents($file)) as $document) {
                    $cards[$document['value']->id] = $document['value'];
                }
            }
            foreach (self::read('shelf') as $other) {
                $card = (object) array_merge((array) $cards[$other->like], (array) $other);
                unset($card->like, $card->alias);
                $cards[$card->id] = (new Schemas)->check($card, 'gear-card.schema.json');
            }
        }

        return $cards;
    }

    /** @return list<mixed> */
    private static function read(string $file): array
    {
        return Yaml::decodeAll((string) file_get_contents(dirname(__DIR__, 2)."/tests/fixtures/situations/$file.yaml"))[0]['value'];
    }
}
