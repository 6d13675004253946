<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// How an output stands is told by controls of its own, sensed by a contact or a reading.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->json('state_ids')->default('[]');
        });
        Schema::table('controls', static function (Blueprint $table): void {
            $table->char('measured_id', 26)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('controls', static function (Blueprint $table): void {
            $table->dropColumn('measured_id');
        });
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->dropColumn('state_ids');
        });
    }
};
