<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// An edit whose answer was lost is sent again: by the id that its client gave it, it is known. Which client made it says
// whose edits came in between.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->char('client', 26)->nullable();
        });
        Schema::create('edit_ids', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->char('plan_id', 26);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->timestamp('created_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('edit_ids');
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->dropColumn('client');
        });
    }
};
