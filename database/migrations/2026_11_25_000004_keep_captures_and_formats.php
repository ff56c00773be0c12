<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('formats', function (Blueprint $table): void {
            $table->string('id', 64)->primary();
            $table->string('name', 200);
            $table->text('document');
            $table->timestamps();
        });

        // The bytes lie in storage/app/captures under the row's number, never under a name of the user's.
        Schema::create('captures', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 200);
            $table->unsignedBigInteger('size');
            $table->string('sha256', 64);
            $table->string('at', 20);
            // Taken off the desk: kept for a day, in case it was a slip.
            $table->string('gone_at', 20)->nullable();
        });
    }

    public function down(): void
    {
        foreach (['captures', 'formats'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
