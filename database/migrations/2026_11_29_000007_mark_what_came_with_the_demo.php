<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What came with the demo, so that it can be told from one's own and cleared in one go. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('demo_marks', static function (Blueprint $table): void {
            $table->string('kind');
            $table->string('ref');
            $table->integer('revision');
            $table->primary(['kind', 'ref']);
        });
    }

    public function down(): void
    {
        Schema::drop('demo_marks');
    }
};
