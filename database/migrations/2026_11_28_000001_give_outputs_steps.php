<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A sequence or a group is an output with steps, which are controls.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->json('step_ids')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->dropColumn('step_ids');
        });
    }
};
