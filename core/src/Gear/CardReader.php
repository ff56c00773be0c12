<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\JsonLines;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Document\Yaml;
use Linguator\Core\Document\YamlLines;

/** Reads gear cards from documents and from YAML or JSON text, with the place of the first fault. */
final readonly class CardReader
{
    /** Longest text taken (bytes): a shelf of a thousand cards is well below it. */
    public const MAX_BYTES = 4_194_304;

    public const MAX_CARDS = 2000;

    public const SCHEMA = 'gear-card.schema.json';

    public function __construct(private Schemas $schemas)
    {
    }

    /** @throws DocumentError with the path inside the card. */
    public function fromDocument(mixed $document): GearCard
    {
        $card = GearCard::of($this->schemas->check($document, self::SCHEMA));
        CardRules::check($card);

        return $card;
    }

    /**
     * One card, a list of cards, or several YAML documents parted by `---`.
     *
     * @return non-empty-list<GearCard>
     *
     * @throws DocumentError with path (positions first when there are several cards) and line.
     */
    public function fromText(string $text): array
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new DocumentError('too_large', sprintf('Found %.1f MB; expected at most %d MB of gear cards in one file.', strlen($text) / 1_048_576, self::MAX_BYTES / 1_048_576));
        }
        $cards = $this->looksLikeJson($text) ? $this->fromJson($text) : $this->fromYaml($text);
        if ($cards === []) {
            throw new DocumentError('empty', 'Found no gear card; expected at least one.');
        }

        return $cards;
    }

    private function looksLikeJson(string $text): bool
    {
        return preg_match('/\A(?:\xEF\xBB\xBF)?\s*(?:\{\s*(?:"|\}|\z)|\[\s*(?:\{\s*"|\]|\z))/', $text) === 1;
    }

    /** @return list<GearCard> */
    private function fromJson(string $text): array
    {
        try {
            return $this->fromValue(Json::decode($text));
        } catch (DocumentError $error) {
            throw $error->sourceLine === null ? $error->onLine(JsonLines::of($text, $error->path)) : $error;
        }
    }

    /** @return list<GearCard> */
    private function fromYaml(string $text): array
    {
        $documents = Yaml::decodeAll($text);
        $cards = [];
        foreach ($documents as $k => $document) {
            try {
                array_push($cards, ...$this->fromValue($document['value']));
            } catch (DocumentError $error) {
                $line = $document['line'] - 1 + YamlLines::of($document['text'], $error->path);
                $placed = count($documents) > 1 ? $error->inside((string) $k) : $error;
                throw $placed->onLine($line);
            }
        }

        return $cards;
    }

    /** @return list<GearCard> */
    private function fromValue(mixed $value): array
    {
        if (! is_array($value)) {
            return [$this->fromDocument($value)];
        }
        if (count($value) > self::MAX_CARDS) {
            throw new DocumentError('too_many', sprintf('Found %d cards; expected at most %d in one file.', count($value), self::MAX_CARDS));
        }
        $cards = [];
        foreach (array_values($value) as $k => $document) {
            try {
                $cards[] = $this->fromDocument($document);
            } catch (DocumentError $error) {
                throw $error->inside((string) $k);
            }
        }

        return $cards;
    }
}
