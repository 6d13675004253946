<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Boards and modules that the catalogue does not have are described in the plan itself.
return new class extends Migration
{
    public function up(): void
    {
        foreach (['own_boards', 'own_modules'] as $name) {
            Schema::create($name, static function (Blueprint $table): void {
                $table->char('plan_id', 26);
                $table->char('id', 26);
                $table->string('name', 80);
                $table->string('copy_of', 60);
                $table->longText('description');
                $table->unsignedInteger('order');
                $table->primary(['plan_id', 'id']);
                $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('own_modules');
        Schema::dropIfExists('own_boards');
    }
};
