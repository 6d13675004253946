<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What an end of a bus sends under one identifier is a thing of the plan: readings mean its signals, and each is found, edited and undone by itself.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('bus_messages', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->char('endpoint_id', 26);
            $table->foreign(['plan_id', 'endpoint_id'], 'bus_messages_endpoint')->references(['plan_id', 'id'])->on('endpoints')->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedInteger('identifier');
            $table->boolean('extended');
            $table->unsignedSmallInteger('bytes');
            $table->unsignedInteger('period_ms');
            $table->json('signals');
            $table->string('evidence', 200);
            $table->unsignedInteger('order');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('bus_messages');
    }
};
