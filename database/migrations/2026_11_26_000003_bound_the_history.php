<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// History is not kept for ever: a plan knows from which version on its own is whole. And each edit knows which findings it
// was felt by.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->unsignedInteger('known_since')->default(0);
        });
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->longText('felt')->nullable();
            $table->index('created_at');
        });
    }

    public function down(): void
    {
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->dropIndex(['created_at']);
            $table->dropColumn('felt');
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropColumn('known_since');
        });
    }
};
