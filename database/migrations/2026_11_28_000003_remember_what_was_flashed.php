<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What a node was flashed with: then the plan can say which must be flashed again.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->string('flashed_own', 8)->nullable();
            $table->json('flashed')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->dropColumn(['flashed_own', 'flashed']);
        });
    }
};
