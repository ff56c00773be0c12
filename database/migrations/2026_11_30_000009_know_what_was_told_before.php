<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A change that is told again, because nobody heard that it was taken, is known by the name it was told by. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rig_entries', static function (Blueprint $table): void {
            $table->string('once')->nullable();
            $table->index(['rig_id', 'once']);
        });
    }

    public function down(): void
    {
        Schema::table('rig_entries', static function (Blueprint $table): void {
            $table->dropIndex(['rig_id', 'once']);
            $table->dropColumn('once');
        });
    }
};
