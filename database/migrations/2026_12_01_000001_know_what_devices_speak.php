<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What a bought device understands and says is a thing of the plan, for several may be of one kind.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('protocols', static function (Blueprint $table): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('form', 12);
            $table->json('parts');
            $table->string('coding', 12);
            $table->boolean('low_first');
            $table->string('check', 24);
            $table->unsignedSmallInteger('check_from');
            $table->boolean('check_low_first');
            $table->string('lead', 12);
            $table->string('id_as', 12);
            $table->string('after_id', 12);
            $table->string('between', 12);
            $table->string('separator', 12);
            $table->string('ending', 12);
            $table->boolean('bare');
            $table->json('items');
            $table->unsignedInteger('order');
            $table->text('note');
            $table->double('logic_v')->nullable();
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->char('protocol_id', 26)->nullable();
            $table->foreign(['plan_id', 'protocol_id'], 'nodes_protocol')->references(['plan_id', 'id'])->on('protocols')->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->dropForeign('nodes_protocol');
            $table->dropColumn('protocol_id');
        });
        Schema::dropIfExists('protocols');
    }
};
