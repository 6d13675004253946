<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A wire may bear a signal that the program makes itself.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('pin_uses', static function (Blueprint $table): void {
            $table->boolean('by_software')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('pin_uses', static function (Blueprint $table): void {
            $table->dropColumn('by_software');
        });
    }
};
