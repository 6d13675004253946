<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// A cable is a thing between two nodes, with cores that run out.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cables', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            foreach (['from_id', 'to_id'] as $end) {
                $table->char($end, 26);
                $table->foreign(['plan_id', $end], "cables_{$end}")->references(['plan_id', 'id'])->on('nodes')->cascadeOnDelete();
            }
            $table->string('name', 80);
            $table->unsignedSmallInteger('cores');
            $table->double('length_m')->nullable();
            $table->double('mm2')->nullable();
            $table->boolean('twisted');
            $table->boolean('screened');
            $table->string('connector', 60);
            $table->json('uses');
            $table->unsignedInteger('order');
            $table->boolean('owned');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('cables');
    }
};
