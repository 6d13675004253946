<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A module may have pins for others, which are called by a letter of its own.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('modules', static function (Blueprint $table): void {
            $table->string('prefix', 4)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('modules', static function (Blueprint $table): void {
            $table->dropColumn('prefix');
        });
    }
};
