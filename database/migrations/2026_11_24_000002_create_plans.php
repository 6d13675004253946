<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Foreign keys hold a plan's things together; nothing here enforces the trade's own uniqueness. Two nodes on one
// address are a finding, and a faulty plan must be storable.
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('plans', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->string('name', 80);
            $table->string('region', 60);
            $table->json('busy_wifi');
            $table->text('note');
            $table->longText('findings')->nullable();
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('plan_edits', static function (Blueprint $table): void {
            $table->id();
            $table->char('plan_id', 26);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->string('label', 200);
            $table->string('state', 10);
            $table->longText('operations');
            $table->longText('inverse');
            $table->longText('touched');
            $table->timestamps();
            $table->index(['plan_id', 'version']);
        });
        $this->thing('places', static function (Blueprint $table): void {
            $table->string('name', 80);
            $table->unsignedInteger('order');
            $table->text('note');
        });
        $this->thing('nodes', function (Blueprint $table): void {
            $table->string('name', 80);
            $table->string('kind', 20);
            $this->reference($table, 'place_id', 'places', true);
            $table->string('board', 60)->nullable();
            $table->unsignedInteger('order');
            $table->text('note');
        });
        $this->thing('modules', function (Blueprint $table): void {
            $this->reference($table, 'node_id', 'nodes');
            $table->string('class', 60);
            $table->string('name', 80);
            $table->string('supply', 20)->nullable();
            $table->unsignedInteger('order');
        });
        $this->thing('pin_uses', function (Blueprint $table): void {
            $this->reference($table, 'module_id', 'modules');
            $table->string('terminal', 24);
            $table->string('pin', 24);
            $table->boolean('pinned');
        });
        $this->thing('links', static function (Blueprint $table): void {
            $table->string('name', 80);
            $table->string('medium', 60);
            $table->json('settings');
            $table->json('pinned');
            $table->unsignedInteger('order');
        });
        $this->thing('endpoints', function (Blueprint $table): void {
            $this->reference($table, 'link_id', 'links');
            $this->reference($table, 'node_id', 'nodes');
            $this->reference($table, 'module_id', 'modules', true);
            $table->string('role', 20);
            $table->json('settings');
            $table->json('pinned');
            $table->json('deliberate');
            $table->unsignedInteger('order');
        });
        $this->thing('addresses', function (Blueprint $table): void {
            $this->reference($table, 'endpoint_id', 'endpoints');
            $table->unsignedSmallInteger('pipe');
            $table->string('value', 24)->nullable();
            $table->boolean('pinned');
        });
        $this->thing('controls', function (Blueprint $table): void {
            $this->reference($table, 'node_id', 'nodes');
            $table->string('name', 80);
            $table->string('kind', 20);
            $this->reference($table, 'module_id', 'modules', true);
            $table->string('terminal', 24)->nullable();
            $table->boolean('pinned');
            $table->unsignedSmallInteger('debounce_ms');
            $table->unsignedInteger('order');
        });
        $this->thing('outputs', function (Blueprint $table): void {
            $this->reference($table, 'node_id', 'nodes');
            $table->string('name', 80);
            $table->string('kind', 20);
            $this->reference($table, 'module_id', 'modules', true);
            $table->string('channel', 24)->nullable();
            $table->boolean('pinned');
            $table->string('load', 200);
            $table->json('deliberate');
            $table->unsignedInteger('order');
        });
        $this->thing('routes', function (Blueprint $table): void {
            $this->reference($table, 'control_id', 'controls');
            $this->reference($table, 'output_id', 'outputs');
            $table->string('action', 20);
            $table->unsignedInteger('pulse_ms')->nullable();
            $table->unsignedInteger('order');
        });
        $this->thing('hops', function (Blueprint $table): void {
            $this->reference($table, 'route_id', 'routes');
            $this->reference($table, 'link_id', 'links');
            $this->reference($table, 'from_id', 'endpoints');
            $this->reference($table, 'to_id', 'endpoints');
            $table->unsignedSmallInteger('code')->nullable();
            $table->boolean('pinned');
            $table->unsignedInteger('order');
        });
        $this->thing('accepted_findings', static function (Blueprint $table): void {
            $table->string('finding_id', 80);
            $table->string('reason', 500);
        });
    }

    public function down(): void
    {
        foreach (['accepted_findings', 'hops', 'routes', 'outputs', 'controls', 'addresses', 'endpoints', 'links', 'pin_uses', 'modules', 'nodes', 'places', 'plan_edits', 'plans'] as $name) {
            Schema::dropIfExists($name);
        }
    }

    /** A table of things: its key is plan and id together, for a copied plan keeps the ids of what it holds. */
    private function thing(string $name, Closure $columns): void
    {
        Schema::create($name, static function (Blueprint $table) use ($columns): void {
            $table->char('plan_id', 26);
            $table->char('id', 26);
            $table->primary(['plan_id', 'id']);
            $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
            $columns($table);
        });
    }

    private function reference(Blueprint $table, string $column, string $on, bool $nullable = false): void
    {
        $table->char($column, 26)->nullable($nullable);
        $table->foreign(['plan_id', $column])->references(['plan_id', 'id'])->on($on)->cascadeOnDelete();
    }
};
