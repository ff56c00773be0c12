<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\QueryException;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;

/**
 * A serial format that the user has written down. The document is the truth; id and name stand beside it for lists.
 *
 * @property string $id
 * @property string $name
 * @property string $document Canonical JSON.
 */
final class Format extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $table = 'formats';

    protected $guarded = [];

    public function card(Schemas $schemas): FormatCard
    {
        return FormatCard::of(Json::decode($this->document), $schemas);
    }

    /** Null: there is none of that id, or no bench yet. */
    public static function named(string $id): ?self
    {
        try {
            return self::query()->find($id);
        } catch (QueryException) {
            return null;
        }
    }

    /** @return list<self> */
    public static function listed(): array
    {
        return array_values(self::query()->get()->sortBy('id')->all());
    }

    /** @return list<FormatCard> By id; none where there is no bench yet. */
    public static function own(Schemas $schemas): array
    {
        try {
            return array_map(static fn (self $format): FormatCard => $format->card($schemas), self::listed());
        } catch (QueryException) {
            return [];
        }
    }
}
