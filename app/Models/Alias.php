<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the user's manuals call a wire format, a protocol family or a variant.
 *
 * @property string $kind `format`, `family`, `variant` or `plug`.
 * @property string $target
 * @property string $alias
 */
final class Alias extends Model
{
    public $timestamps = false;

    protected $table = 'aliases';

    protected $guarded = [];

    /** @return array<string, list<string>> What the user calls things, by kind/target. */
    public static function byTarget(): array
    {
        $named = [];
        foreach (self::query()->get()->sortBy('alias') as $alias) {
            $named["$alias->kind/$alias->target"][] = $alias->alias;
        }

        return $named;
    }
}
