<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// What is found in a plan is worked out of it: in its row it outgrew what a row can hold and a backup can carry.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropColumn('findings');
        });
        // Each row a stamp of its own: what is found in a plan that is never edited is then worked out once.
        DB::update("update plans set stamps = json_set(coalesce(stamps, '{}'), '$.findings', uuid())");
    }

    public function down(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->longText('findings')->nullable();
        });
    }
};
