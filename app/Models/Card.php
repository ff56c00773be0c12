<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Linguator\Core\Document\Json;
use Linguator\Core\Gear\GearCard;

/**
 * A gear card on the shelf. The document is the truth; id, kind and name stand beside it for lists.
 *
 * @property string $id
 * @property string $kind
 * @property string $name
 * @property string $document Canonical JSON.
 * @property int $revision
 */
final class Card extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $table = 'cards';

    protected $guarded = [];

    /** @return list<self> Everything on the shelf, by name. */
    public static function shelf(): array
    {
        return array_values(self::query()->get()->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->all());
    }

    public static function documentOf(string $id): ?\stdClass
    {
        return self::query()->find($id)?->gear()->document;
    }

    public function gear(): GearCard
    {
        $document = Json::kept($this->document);
        assert($document instanceof \stdClass);

        return GearCard::of($document);
    }

    public static function from(GearCard $gear): self
    {
        return new self(['id' => $gear->id, 'revision' => 0] + self::columns($gear));
    }

    /** @return array{kind: string, name: string, document: string} */
    public static function columns(GearCard $gear): array
    {
        return ['kind' => $gear->kind->value, 'name' => $gear->name, 'document' => Json::compact($gear->canonical())];
    }
}
