<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plans\PlanStore;
use App\Plans\ThingTables;
use Closure;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Bond;
use Tests\Demos;

/** What an edit writes, and what the database itself sees to. */
final class PlanStoreTest extends FeatureTestCase
{
    /** @return array<string, int> rows by table */
    private static function rows(): array
    {
        $rows = [];
        foreach (ThingKind::cases() as $kind) {
            $rows[ThingTables::name($kind)] = DB::table(ThingTables::name($kind))->count();
        }

        return $rows;
    }

    /**
     * @param  Closure(): mixed  $work
     * @return list<string> what the database was asked meanwhile
     */
    private static function asked(Closure $work): array
    {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $work();
        $asked = array_column(DB::getQueryLog(), 'query');
        DB::disableQueryLog();

        return $asked;
    }

    public function test_an_edit_writes_only_what_it_touched(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $node = self::document($this->getJson("/api/plans/{$plan->id}"))['nodes'][0]['id'];
        $written = array_filter(
            self::asked(fn () => $this->edit($plan, 1, self::rename($node, 'New'))->assertOk()),
            static fn (string $query): bool => preg_match('/^(insert|update|delete)/i', $query) === 1,
        );
        $tables = array_map(static fn (string $query): string => (string) preg_replace('/^.*?`(\w+)`.*$/s', '$1', $query), array_values($written));
        sort($tables);
        self::assertSame(['nodes', 'plan_edits', 'plan_edits', 'plans'], $tables);
    }

    public function test_an_edit_takes_no_more_queries_on_a_large_plan(): void
    {
        $user = self::user();
        $this->actingAs($user);
        $counts = [];
        foreach ([$this->linden($user), $this->faulty($user)] as $plan) {
            $node = self::document($this->getJson("/api/plans/{$plan->id}"))['nodes'][0]['id'];
            $counts[] = count(self::asked(fn () => $this->edit($plan, 1, self::rename($node, 'New'))->assertOk()));
        }
        self::assertSame($counts[0], $counts[1]);
    }

    public function test_what_goes_with_another_the_database_takes_out_by_itself(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $node = self::document($this->getJson("/api/plans/{$plan->id}"))['nodes'][0]['id'];
        $asked = self::asked(fn () => $this->edit($plan, 1, ['op' => 'remove', 'kind' => 'node', 'id' => $node])->assertOk());
        $deleted = array_values(array_filter($asked, static fn (string $query): bool => str_starts_with($query, 'delete')));
        self::assertSame(['delete from `nodes` where `plan_id` = ? and `id` in (?)'], $deleted);
        $shown = self::document($this->getJson("/api/plans/{$plan->id}"));
        foreach (ThingKind::cases() as $kind) {
            $ids = array_column($shown[$kind->plural()], 'id');
            sort($ids);
            self::assertSame($ids, DB::table(ThingTables::name($kind))->where('plan_id', $plan->id)->orderBy('id')->pluck('id')->all(), $kind->value);
        }
    }

    public function test_every_thing_goes_with_what_it_is_part_of_or_joins(): void
    {
        $cascading = DB::table('information_schema.key_column_usage as used')
            ->join('information_schema.referential_constraints as kept', static fn (JoinClause $on) => $on->on('kept.constraint_schema', 'used.constraint_schema')->on('kept.constraint_name', 'used.constraint_name'))
            ->where('used.constraint_schema', DB::connection()->getDatabaseName())->where('kept.delete_rule', 'CASCADE')
            ->get(['used.table_name as of', 'used.column_name as by', 'used.referenced_table_name as to'])
            ->map(static fn (object $key): string => implode(' ', get_object_vars($key)))->all();
        foreach (ThingKind::cases() as $kind) {
            foreach (Ties::of($kind) as $tie) {
                if ($tie->bond === Bond::PartOf || $tie->bond === Bond::Joins) {
                    self::assertContains(ThingTables::name($kind).' '.Str::snake($tie->field).' '.ThingTables::name($tie->to), $cascading);
                }
            }
        }
    }

    public function test_a_plan_removed_for_good_leaves_nothing_behind(): void
    {
        $before = self::rows();
        $plan = $this->faulty(self::user());
        self::assertNotSame($before, self::rows());
        $plan->forceDelete();
        self::assertSame($before, self::rows());
    }

    public function test_things_of_two_plans_with_the_same_ids_do_not_touch(): void
    {
        $user = self::user();
        $one = $this->linden($user);
        $other = app(PlanStore::class)->create($user, Demos::lindenHollow());
        $this->actingAs($user);
        $node = self::document($this->getJson("/api/plans/{$one->id}"))['nodes'][0]['id'];
        $this->edit($one, 1, ['op' => 'remove', 'kind' => 'node', 'id' => $node])->assertOk();
        self::assertContains($node, array_column(self::document($this->getJson("/api/plans/{$other->id}"))['nodes'], 'id'));
    }

    public function test_a_plan_that_breaks_the_trades_rules_can_be_stored(): void
    {
        $user = self::user();
        $plan = $this->faulty($user);
        $addresses = array_filter(array_column(self::document($this->actingAs($user)->getJson("/api/plans/{$plan->id}"))['addresses'], 'value'));
        self::assertNotSame($addresses, array_unique($addresses));
    }

    public function test_texts_keep_their_spaces_and_their_letters(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $node = self::document($this->getJson("/api/plans/{$plan->id}"))['nodes'][0]['id'];
        $note = "  zwei Räume, 5 Ω \u{1F4E1}\nund ein <b>Fenster</b>  ";
        $this->edit($plan, 1, ['op' => 'change', 'kind' => 'node', 'id' => $node, 'values' => ['note' => $note]])->assertOk();
        self::assertSame($note, self::document($this->getJson("/api/plans/{$plan->id}"))['nodes'][0]['note']);
    }
}
