<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// Who may look at a plan, who may change it and whose it is stand in one table. What an account did to plans of others
// stays in their history when it is deleted.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('plan_members', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('access', 10);
            $table->primary(['plan_id', 'user_id']);
        });
        if (Schema::hasColumn('plans', 'user_id')) {
            DB::insert("insert ignore into plan_members (plan_id, user_id, access) select id, user_id, 'owner' from plans");
            Schema::table('plans', static function (Blueprint $table): void {
                $table->dropForeign(['user_id']);
            });
            Schema::table('plans', static function (Blueprint $table): void {
                $table->dropColumn('user_id');
            });
        }
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->dropForeign(['user_id']);
        });
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->unsignedBigInteger('user_id')->nullable()->change();
        });
        Schema::table('plan_edits', static function (Blueprint $table): void {
            // By another name than the one that is gone: made under that, it would not be told from it.
            $table->foreign('user_id', 'plan_edits_by_foreign')->references('id')->on('users')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->dropForeign('plan_edits_by_foreign');
        });
        DB::delete('delete from plan_edits where user_id is null');
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->unsignedBigInteger('user_id')->nullable(false)->change();
        });
        Schema::table('plan_edits', static function (Blueprint $table): void {
            $table->foreign('user_id')->references('id')->on('users')->cascadeOnDelete();
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->unsignedBigInteger('user_id')->nullable();
        });
        DB::update("update plans set user_id = (select user_id from plan_members where plan_id = plans.id and access = 'owner' limit 1)");
        Schema::table('plans', static function (Blueprint $table): void {
            $table->foreign('user_id')->references('id')->on('users')->cascadeOnDelete();
        });
        Schema::dropIfExists('plan_members');
    }
};
