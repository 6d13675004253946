<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// How a stick works one of its targets is the route's: two vehicles on one stick are not alike.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('routes', static function (Blueprint $table): void {
            $table->boolean('reverse')->default(false);
            $table->smallInteger('trim')->default(0);
            $table->smallInteger('end_low')->default(100);
            $table->smallInteger('end_high')->default(100);
            $table->char('mixed_id', 26)->nullable();
            $table->boolean('mix_subtracts')->default(false);
            $table->foreign(['plan_id', 'mixed_id'], 'routes_mixed')->references(['plan_id', 'id'])->on('controls')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('routes', static function (Blueprint $table): void {
            $table->dropForeign('routes_mixed');
            $table->dropColumn(['reverse', 'trim', 'end_low', 'end_high', 'mixed_id', 'mix_subtracts']);
        });
    }
};
