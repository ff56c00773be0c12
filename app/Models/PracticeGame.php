<?php

declare(strict_types=1);

namespace App\Models;

use App\Actions\Moment;
use Illuminate\Database\Eloquent\Model;

/**
 * A game of practice that was played to its end and kept.
 *
 * @property int $id
 * @property string $rig Its name.
 * @property string $seed
 * @property string $level
 * @property float $minutes
 * @property float $best_minutes
 * @property float $score
 * @property bool $is_won
 * @property string $player
 * @property \Illuminate\Support\Carbon|null $created_at
 */
final class PracticeGame extends Model
{
    protected $table = 'practice_games';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['minutes' => 'float', 'best_minutes' => 'float', 'score' => 'float', 'is_won' => 'bool'];

    /** @return list<self> The latest first. */
    public static function latestOnes(int $most): array
    {
        $query = self::query();
        $query->orderByDesc('id');
        $query->limit($most);

        return array_values($query->get()->all());
    }

    /** @return array<string, mixed> As screens get it. */
    public function listed(): array
    {
        return [
            'id' => $this->id, 'rig' => $this->rig, 'seed' => $this->seed, 'level' => $this->level, 'minutes' => $this->minutes, 'best_minutes' => $this->best_minutes,
            'score' => $this->score, 'is_won' => $this->is_won, 'player' => $this->player, 'at' => Moment::of($this->created_at ?? now()),
        ];
    }
}
