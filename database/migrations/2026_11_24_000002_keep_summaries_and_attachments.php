<?php

declare(strict_types=1);

use App\Models\Rig;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rigs', function (Blueprint $table): void {
            // What rigs of one handset are held against each other by; read from the document at every write.
            $table->string('handset', 64)->nullable()->index();
            $table->string('memory', 200)->nullable();
            $table->integer('receiver_number')->nullable();
            // What the bench shows of it, and of which revision and build that is.
            $table->text('summary')->nullable();
            $table->string('summary_of', 60)->nullable();
        });
        Schema::table('rig_entries', function (Blueprint $table): void {
            $table->index(['at', 'id']);
            $table->index(['kind', 'at']);
            $table->index(['rig_id', 'at']);
        });
        Schema::create('attachments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rig_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('name', 120);
            $table->string('type', 40);
            $table->unsignedInteger('size');
            $table->string('sha256', 64);
            $table->binary('content');
            $table->string('at', 20);
            $table->index(['rig_id', 'position']);
        });
        foreach (Rig::query()->get() as $rig) {
            // Of the columns there are by now.
            $rig->update(array_intersect_key(Rig::columns($rig->rig()), array_flip(['name', 'document', 'handset', 'memory', 'receiver_number'])));
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('attachments');
        Schema::table('rig_entries', function (Blueprint $table): void {
            $table->dropIndex(['at', 'id']);
            $table->dropIndex(['kind', 'at']);
            $table->dropIndex(['rig_id', 'at']);
        });
        Schema::table('rigs', fn (Blueprint $table) => $table->dropColumn(['handset', 'memory', 'receiver_number', 'summary', 'summary_of']));
    }
};
