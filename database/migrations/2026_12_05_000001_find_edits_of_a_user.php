<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Each edit asks for its user's last that can be undone and his next that can be redone, and each undone one is gone with the
// next: without this the whole history of the plan is read three times.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->index(['plan_id', 'user_id', 'state']);
        });
    }

    public function down(): void
    {
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->dropIndex(['plan_id', 'user_id', 'state']);
        });
    }
};
