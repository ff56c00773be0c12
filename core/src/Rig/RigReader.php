<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\JsonLines;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Document\YamlLines;
use Linguator\Core\Gear\CardRules;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Shelf;

/** Reads rig documents from JSON or YAML text, with the place of the first fault. */
final readonly class RigReader
{
    /** Longest text taken (bytes): years of history fit. */
    public const MAX_BYTES = 8_388_608;

    public const SCHEMA = 'rig.schema.json';

    private const VERSION = 1;

    private Shelf $shelf;

    /** @param  Shelf|null  $shelf  For chains that name cards by id alone. */
    public function __construct(private Schemas $schemas, ?Shelf $shelf = null)
    {
        $this->shelf = $shelf ?? Shelf::none();
    }

    /** @throws DocumentError */
    public function fromText(string $text): RigDocument
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new DocumentError('too_large', sprintf('Found %.1f MB; expected at most %d MB of one rig document.', strlen($text) / 1_048_576, self::MAX_BYTES / 1_048_576));
        }
        $isJson = preg_match('/\A(?:\xEF\xBB\xBF)?\s*[{\[]\s*["}\]]/', $text) === 1;
        try {
            return $this->fromDocument($isJson ? Json::decode($text) : $this->fromYaml($text));
        } catch (DocumentError $error) {
            throw $error->sourceLine !== null
                ? $error
                : $error->onLine($isJson ? JsonLines::of($text, $error->path) : YamlLines::of($text, $error->path));
        }
    }

    /** @throws DocumentError with the path inside the rig. */
    public function fromDocument(mixed $document): RigDocument
    {
        $this->refuseNewer($document);
        if ($document instanceof \stdClass) {
            $document = $this->withCards($document);
        }
        $rig = RigDocument::of($this->schemas->check($document, self::SCHEMA));
        $seen = [];
        foreach ($rig->cards as $k => $card) {
            $this->checkCard($card, $k, $seen);
            $seen[$card->id] = true;
        }

        return $rig;
    }

    /**
     * A rig inside another document that has passed its schema already: its chain must hold whole cards.
     *
     * @throws DocumentError below the place given.
     */
    public static function whole(mixed $document, string $place): RigDocument
    {
        if (! $document instanceof \stdClass) {
            throw DocumentError::at($place, 'Found '.Excerpt::of($document).'; expected a rig document.', 'not_an_object');
        }
        foreach (is_array($document->chain ?? null) ? array_values($document->chain) : [] as $k => $card) {
            if (! $card instanceof \stdClass) {
                throw DocumentError::at("$place.chain.$k", 'Found '.Excerpt::of($card).'; expected a whole card: no shelf is at hand here.', 'not_a_card');
            }
        }
        $rig = RigDocument::of($document);
        foreach ($rig->cards as $k => $card) {
            try {
                CardRules::check($card);
            } catch (DocumentError $error) {
                throw $error->inside("$place.chain.$k");
            }
        }

        return $rig;
    }

    private function fromYaml(string $text): mixed
    {
        $documents = Yaml::decodeAll($text);
        if (count($documents) !== 1) {
            throw new DocumentError('not_one', sprintf('Found %d documents; expected one rig document.', count($documents)));
        }

        return $documents[0]['value'];
    }

    private function refuseNewer(mixed $document): void
    {
        $version = $document instanceof \stdClass ? ($document->linguator ?? null) : null;
        if (is_int($version) && $version > self::VERSION) {
            throw DocumentError::at('linguator', "This document is of version $version; expected at most ".self::VERSION.'. It was made by a newer Linguator.', 'newer_version');
        }
    }

    /** Cards named by id alone are taken from the shelf. */
    private function withCards(\stdClass $document): \stdClass
    {
        $chain = $document->chain ?? null;
        if (! is_array($chain) || array_filter($chain, is_string(...)) === []) {
            return $document;
        }
        $whole = clone $document;
        $whole->chain = array_values($chain);
        foreach ($whole->chain as $k => $card) {
            if (is_string($card)) {
                $whole->chain[$k] = $this->shelf->card($card)
                    ?? throw DocumentError::at("chain.$k", 'No card '.Excerpt::of($card).' is on the shelf; expected a whole card, or the id of one on the shelf.', 'not_on_shelf');
            }
        }

        return $whole;
    }

    /** @param  array<string, true>  $seen */
    private function checkCard(GearCard $card, int $k, array $seen): void
    {
        if (isset($seen[$card->id])) {
            throw DocumentError::at("chain.$k.id", "The box \"$card->id\" stands in the chain twice; expected each once.", 'duplicate_id');
        }
        try {
            CardRules::check($card);
        } catch (DocumentError $error) {
            throw $error->inside("chain.$k");
        }
    }
}
