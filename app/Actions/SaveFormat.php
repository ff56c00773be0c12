<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Format;
use Illuminate\Support\Facades\DB;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\FormatCardText;

/** Keeps a format card of the user's. */
final readonly class SaveFormat
{
    private const MOST = 100;

    public function __construct(private Schemas $schemas)
    {
    }

    /**
     * @param  string  $text  YAML or JSON.
     * @param  bool  $replace  Take the place of the one with the same id, if there is one.
     *
     * @throws DocumentError if it is no sound card, or its id is taken.
     */
    public function __invoke(string $text, bool $replace): Format
    {
        [$card, $document] = $this->read($text);
        if (FormatCards::get($card->id) !== null) {
            throw DocumentError::at('id', 'Found '.Excerpt::of($card->id).', which is a shipped format; expected an id of your own.', 'taken');
        }

        return DB::transaction(static function () use ($card, $document, $replace): Format {
            $there = Format::query()->find($card->id);
            if ($there !== null && ! $replace) {
                throw DocumentError::at('id', 'There is a format '.Excerpt::of($card->id).' already; say that it is to be replaced, or give this one another id.', 'exists');
            }
            if ($there === null && Format::query()->count() >= self::MOST) {
                throw DocumentError::at('id', 'There are '.self::MOST.' formats already; take one away first.', 'too_many');
            }

            return Format::query()->updateOrCreate(['id' => $card->id], ['name' => $card->name, 'document' => $document]);
        });
    }

    /** @return 'added'|'differs'|'same' How a card stands to what is kept. */
    public function standing(string $text): string
    {
        [$card, $document] = $this->read($text);
        $there = Format::query()->find($card->id);

        return $there === null ? 'added' : ($there->document === $document ? 'same' : 'differs');
    }

    /** @return array{FormatCard, string} The card, and its document as it is kept. */
    private function read(string $text): array
    {
        $value = FormatCardText::value($text);

        return [FormatCard::of($value, $this->schemas), Json::compact($value)];
    }
}
