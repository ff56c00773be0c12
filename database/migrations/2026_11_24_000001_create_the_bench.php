<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cards', function (Blueprint $table): void {
            $table->string('id', 64)->primary();
            $table->string('kind', 20)->index();
            $table->string('name', 200);
            $table->text('document');
            $table->unsignedInteger('revision');
            $table->timestamps();
        });

        Schema::create('rigs', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80)->unique();
            $table->string('name', 200);
            $table->text('document');
            $table->unsignedInteger('revision');
            $table->timestamps();
        });

        Schema::create('rig_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('at', 20);
            $table->string('kind', 40);
            $table->text('entry');
            $table->unique(['rig_id', 'position']);
        });

        Schema::create('aliases', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            $table->string('target', 70);
            $table->string('alias', 200);
            $table->unique(['kind', 'target', 'alias']);
        });
    }

    public function down(): void
    {
        foreach (['aliases', 'rig_entries', 'rigs', 'cards'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
