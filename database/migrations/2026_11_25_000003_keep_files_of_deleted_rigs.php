<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a rig taken off the bench leaves behind, for bringing it back whole.
        Schema::create('left_attachments', function (Blueprint $table): void {
            $table->id();
            $table->string('token', 32)->index();
            $table->timestamp('left_at');
            $table->unsignedInteger('position');
            $table->string('name', 120);
            $table->string('type', 40);
            $table->unsignedInteger('size');
            $table->string('sha256', 64);
            $table->binary('content');
            $table->string('at', 20);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('left_attachments');
    }
};
