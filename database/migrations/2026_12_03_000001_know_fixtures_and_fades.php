<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What a lamp's slots are is a thing of the plan, for several may be of one kind; and a route says over how long its output goes there.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('fixture_types', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->string('name', 80);
            $table->json('modes');
            $table->string('address_by', 24);
            $table->double('unit_loads');
            $table->string('on_loss', 12);
            $table->unsignedInteger('order');
            $table->text('note');
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->char('fixture_type_id', 26)->nullable();
            $table->foreign(['plan_id', 'fixture_type_id'], 'nodes_fixture_type')->references(['plan_id', 'id'])->on('fixture_types')->cascadeOnDelete();
        });
        Schema::table('routes', static function (Blueprint $table): void {
            $table->unsignedInteger('fade_ms')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('routes', static function (Blueprint $table): void {
            $table->dropColumn('fade_ms');
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->dropForeign('nodes_fixture_type');
            $table->dropColumn('fixture_type_id');
        });
        Schema::dropIfExists('fixture_types');
    }
};
