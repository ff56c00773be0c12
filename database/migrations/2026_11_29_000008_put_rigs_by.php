<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A rig that is not flown any more is put by: it keeps everything, and stands no longer among those that need somebody. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rigs', static fn (Blueprint $table) => $table->boolean('is_archived')->default(false));
    }

    public function down(): void
    {
        Schema::table('rigs', static fn (Blueprint $table) => $table->dropColumn('is_archived'));
    }
};
