<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What hangs on outputs and on which circuit is a thing of the plan; and an output says what it must be whenever the network does not work.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('circuits', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->string('name', 80);
            $table->char('place_id', 26)->nullable();
            $table->char('parent_id', 26)->nullable();
            $table->double('volts');
            $table->boolean('direct');
            $table->double('fuse_a')->nullable();
            $table->boolean('time_lag');
            $table->boolean('in_neutral');
            $table->boolean('residual');
            $table->double('mm2')->nullable();
            $table->boolean('outdoors');
            $table->unsignedInteger('order');
            $table->text('note');
        });
        Schema::create('loads', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->string('name', 80);
            $table->char('output_id', 26)->nullable();
            $table->char('circuit_id', 26)->nullable();
            $table->char('supply_id', 26)->nullable();
            $table->string('sort', 20);
            $table->string('use', 20);
            $table->double('watts')->nullable();
            $table->unsignedInteger('count');
            $table->double('leakage_ma');
            $table->double('mm2')->nullable();
            $table->double('fuse_a')->nullable();
            $table->string('fuse_at', 12);
            $table->boolean('breaks_neutral');
            $table->string('outlet', 12);
            $table->string('connector', 60);
            $table->string('colour', 30);
            $table->boolean('pinned');
            $table->unsignedInteger('order');
            $table->text('note');
            $table->foreign(['plan_id', 'output_id'])->references(['plan_id', 'id'])->on('outputs')->cascadeOnDelete();
            $table->foreign(['plan_id', 'circuit_id'])->references(['plan_id', 'id'])->on('circuits')->cascadeOnDelete();
            $table->foreign(['plan_id', 'supply_id'])->references(['plan_id', 'id'])->on('supplies')->cascadeOnDelete();
        });
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->string('contact', 20)->default('normally-open');
            $table->string('safe', 8)->nullable();
            $table->string('at_start', 8)->default('off');
            $table->boolean('level_first')->default(true);
            $table->string('second_break', 16)->default('none');
            $table->json('never_with_ids')->default('[]');
            $table->boolean('interlocked')->default(false);
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->boolean('watchdog')->default(false);
        });
        Schema::table('modules', static function (Blueprint $table): void {
            $table->char('signal_supply_id', 26)->nullable();
            $table->foreign(['plan_id', 'signal_supply_id'], 'modules_signal_supply')->references(['plan_id', 'id'])->on('supplies')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('modules', static function (Blueprint $table): void {
            $table->dropForeign('modules_signal_supply');
            $table->dropColumn('signal_supply_id');
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->dropColumn('watchdog');
        });
        Schema::table('outputs', static function (Blueprint $table): void {
            $table->dropColumn(['contact', 'safe', 'at_start', 'level_first', 'second_break', 'never_with_ids', 'interlocked']);
        });
        Schema::dropIfExists('loads');
        Schema::dropIfExists('circuits');
    }
};
