<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// For each kind of thing in a plan, which reading of it still counts.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->json('stamps')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropColumn('stamps');
        });
    }
};
