<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Remotes with learned codes, outputs that can hurt, and controls of many kinds.
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('controls', static function (Blueprint $table): void {
            $table->json('settings')->default('{}');
        });
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->json('hazards')->default('[]');
            $table->string('precedence', 20)->default('last-writer');
            $table->json('settings')->default('{}');
        });
        Schema::create('key_codes', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            foreach (['node_id' => ['nodes', false], 'control_id' => ['controls', true], 'output_id' => ['outputs', true]] as $column => [$on, $nullable]) {
                $table->char($column, 26)->nullable($nullable);
                $table->foreign(['plan_id', $column])->references(['plan_id', 'id'])->on($on)->cascadeOnDelete();
            }
            $table->string('name', 80);
            $table->string('protocol', 60);
            $table->unsignedInteger('address')->nullable();
            $table->unsignedInteger('command')->nullable();
            $table->string('number', 24)->nullable();
            $table->unsignedInteger('carrier_hz')->nullable();
            $table->text('timings');
            $table->string('format', 200)->nullable();
            $table->string('action', 20)->nullable();
            $table->unsignedInteger('order');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('key_codes');
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->dropColumn(['hazards', 'precedence', 'settings']);
        });
        Schema::table('controls', static function (Blueprint $table): void {
            $table->dropColumn('settings');
        });
    }
};
