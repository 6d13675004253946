<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Rundfunk\Format\From1;

// What feeds a module is a thing of its own, and what stands at a modem is discrete parts: plans of format 1 become ones of
// format 2, by the same hand that reads their files.
return new class extends Migration
{
    /** What an edit touched that has another form now. */
    private const CHANGED = ['"supply"', '"supplyV"', '"sourceOhm"', '"capacitorUf"', '"esrOhm"', '"level"', 'regulator-adapter'];

    public function up(): void
    {
        Schema::create('supplies', function (Blueprint $table): void {
            $this->key($table);
            $this->reference($table, 'node_id', 'nodes');
            $table->string('class', 60);
            $table->string('name', 80);
            $this->reference($table, 'parent_id', 'supplies', true);
            $table->string('feeds_at', 20)->nullable();
            foreach (['volts', 'limit_ma', 'source_ohm', 'capacity_mah', 'fuse_a', 'cable_m', 'cable_mm2'] as $figure) {
                $table->double($figure)->nullable();
            }
            $table->unsignedInteger('order');
            $table->boolean('owned');
        });
        Schema::create('parts', function (Blueprint $table): void {
            $this->key($table);
            $this->reference($table, 'module_id', 'modules');
            $table->string('terminal', 40);
            $table->string('kind', 20);
            foreach (['ohms', 'lower_ohms', 'microfarads'] as $figure) {
                $table->double($figure)->nullable();
            }
            $table->double('esr_ohm');
            $table->unsignedInteger('order');
            $table->boolean('owned');
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->string('sleep', 20)->default('never');
            $table->boolean('owned')->default(false);
        });
        Schema::table('modules', static function (Blueprint $table): void {
            $table->char('supply_id', 26)->nullable();
            $table->boolean('pinned')->default(false);
            $table->boolean('owned')->default(false);
            $table->foreign(['plan_id', 'supply_id'], 'modules_supply')->references(['plan_id', 'id'])->on('supplies')->cascadeOnDelete();
        });
        if (! Schema::hasColumn('modules', 'supply')) {
            return;
        }
        // All plans or none, with a mark that it is done: what is cut off after it does not begin again.
        DB::transaction(function (): void {
            if (DB::table('modules')->where('supply', 'done')->exists()) {
                return;
            }
            foreach (array_filter(DB::table('plans')->orderBy('id')->pluck('id')->all(), is_string(...)) as $plan) {
                $this->convert($plan);
            }
            $this->closeHistory();
            DB::table('modules')->update(['supply' => 'done']);
        });
        Schema::table('modules', static function (Blueprint $table): void {
            $table->dropColumn('supply');
        });
    }

    public function down(): void
    {
        Schema::table('modules', static function (Blueprint $table): void {
            $table->string('supply', 20)->nullable();
            $table->dropForeign('modules_supply');
            $table->dropColumn(['supply_id', 'pinned', 'owned']);
        });
        Schema::table('nodes', static function (Blueprint $table): void {
            $table->dropColumn(['sleep', 'owned']);
        });
        Schema::dropIfExists('parts');
        Schema::dropIfExists('supplies');
    }

    private function convert(string $plan): void
    {
        $rows = static fn (string $table): array => DB::table($table)->where('plan_id', $plan)->orderBy('order')->orderBy('id')->get()->all();
        /** @var array<string, list<array<string, mixed>>> $document */
        $document = From1::read([
            'nodes' => array_map(static fn (object $row): array => ['id' => $row->id, 'kind' => $row->kind], $rows('nodes')),
            'modules' => array_map(static fn (object $row): array => ['id' => $row->id, 'nodeId' => $row->node_id, 'class' => $row->class, 'name' => $row->name, 'supply' => $row->supply, 'order' => $row->order], $rows('modules')),
            'links' => array_map(static fn (object $row): array => ['id' => $row->id, 'medium' => $row->medium], $rows('links')),
            'endpoints' => array_map(static fn (object $row): array => ['id' => $row->id, 'linkId' => $row->link_id, 'nodeId' => $row->node_id, 'moduleId' => $row->module_id, 'settings' => is_string($row->settings) ? json_decode($row->settings, true, 8, JSON_THROW_ON_ERROR) : []], $rows('endpoints')),
        ]);
        foreach ($document['supplies'] as $supply) {
            DB::table('supplies')->insert([
                'plan_id' => $plan, 'id' => $supply['id'], 'node_id' => $supply['nodeId'], 'class' => $supply['class'], 'name' => $supply['name'],
                'volts' => $supply['volts'] ?? null, 'source_ohm' => $supply['sourceOhm'] ?? null, 'order' => $supply['order'] ?? 0, 'owned' => false,
            ]);
        }
        foreach ($document['supplies'] as $supply) {
            if (isset($supply['parentId'])) {
                DB::table('supplies')->where('plan_id', $plan)->where('id', $supply['id'])->update(['parent_id' => $supply['parentId']]);
            }
        }
        $kept = [];
        foreach ($document['modules'] as $module) {
            $kept[] = $module['id'];
            if ($module['supplyId'] !== null) {
                DB::table('modules')->where('plan_id', $plan)->where('id', $module['id'])->update(['supply_id' => $module['supplyId']]);
            }
        }
        foreach ($document['parts'] as $part) {
            DB::table('parts')->insert([
                'plan_id' => $plan, 'id' => $part['id'], 'module_id' => $part['moduleId'], 'terminal' => $part['terminal'], 'kind' => $part['kind'],
                'ohms' => $part['ohms'] ?? null, 'lower_ohms' => $part['lowerOhms'] ?? null, 'microfarads' => $part['microfarads'] ?? null,
                'esr_ohm' => $part['esrOhm'] ?? 0.05, 'order' => 0, 'owned' => false,
            ]);
        }
        foreach ($document['endpoints'] as $end) {
            $settings = json_encode($end['settings'] === [] ? new stdClass : $end['settings'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
            DB::table('endpoints')->where('plan_id', $plan)->where('id', $end['id'])->update(['settings' => $settings, 'module_id' => $end['moduleId']]);
        }
        $adapters = DB::table('modules')->where('plan_id', $plan)->whereNotIn('id', $kept)->pluck('id');
        foreach (['controls', 'outputs'] as $table) {
            DB::table($table)->where('plan_id', $plan)->whereIn('module_id', $adapters)->update(['module_id' => null]);
        }
        DB::table('modules')->where('plan_id', $plan)->whereIn('id', $adapters)->delete();
        // What was worked out of the plan as it was is not of the plan as it is; and a tab that stayed open asks for all of it.
        DB::update('update plans set stamps = null, version = version + 1, known_since = version where id = ?', [$plan]);
    }

    /** An edit that touched what has another form now cannot be taken back, nor can those before it: they stay in the history as what was done. */
    private function closeHistory(): void
    {
        $query = DB::table('plan_edits')->where(static function (Builder $query): void {
            foreach (self::CHANGED as $word) {
                $query->orWhere('operations', 'like', "%{$word}%")->orWhere('inverse', 'like', "%{$word}%");
            }
        });
        foreach ($query->groupBy('plan_id')->selectRaw('plan_id, max(id) as last')->get() as $one) {
            $until = DB::table('plan_edits')->where('plan_id', $one->plan_id)->where('id', '<=', $one->last);
            (clone $until)->where('state', 'done')->update(['state' => 'settled']);
            $until->where('state', 'undone')->update(['state' => 'gone']);
        }
    }

    private function key(Blueprint $table): void
    {
        $table->char('plan_id', 26);
        $table->char('id', 26);
        $table->primary(['plan_id', 'id']);
        $table->foreign('plan_id')->references('id')->on('plans')->cascadeOnDelete();
    }

    private function reference(Blueprint $table, string $column, string $on, bool $nullable = false): void
    {
        $table->char($column, 26)->nullable($nullable);
        $table->foreign(['plan_id', $column])->references(['plan_id', 'id'])->on($on)->cascadeOnDelete();
    }
};
