<?php

declare(strict_types=1);

use App\Actions\UpgradeRigs;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rigs', function (Blueprint $table): void {
            $table->string('uid', 64)->nullable()->unique();
            $table->string('came_as', 64)->nullable()->index();
            // The document without what the screens no longer ask for, where it has grown long.
            $table->text('face')->nullable();
        });
        (new UpgradeRigs)();
    }

    public function down(): void
    {
        Schema::table('rigs', function (Blueprint $table): void {
            $table->dropUnique(['uid']);
            $table->dropIndex(['came_as']);
            $table->dropColumn(['uid', 'came_as', 'face']);
        });
    }
};
