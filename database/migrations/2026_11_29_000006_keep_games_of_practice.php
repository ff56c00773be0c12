<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_games', function (Blueprint $table): void {
            $table->id();
            $table->string('rig', 200);
            $table->string('seed', 40);
            $table->string('level', 10);
            $table->float('minutes');
            $table->float('best_minutes');
            $table->float('score');
            $table->boolean('is_won');
            $table->string('player', 200);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('practice_games');
    }
};
