<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Plans\Edition;
use App\Plans\Kept;
use App\Plans\PlanStore;
use App\Plans\Transaction;
use Illuminate\Cache\FileStore;
use Illuminate\Cache\NullStore;
use Illuminate\Cache\Repository;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Findings;
use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Things;
use RuntimeException;
use Tests\Core\RandomEdits;

/** What is kept of a plan beside the database saves reading it, and is never believed over it. */
final class KeptTest extends FeatureTestCase
{
    private static function read(PlanRecord $plan): string
    {
        return (new PlanWriter)->write(app(PlanStore::class)->load(PlanRecord::query()->findOrFail($plan->id))->plan);
    }

    /** @return list<string> the tables that a look at a plan reads, itself apart */
    private static function tablesRead(PlanRecord $plan): array
    {
        DB::enableQueryLog();
        DB::flushQueryLog();
        self::read($plan);
        preg_match_all('/^select .*? from `(\w+)`/m', implode("\n", array_column(DB::getQueryLog(), 'query')), $found);
        DB::disableQueryLog();

        return array_values(array_diff($found[1], ['plans']));
    }

    /** Renames the first node, by the door that every edit takes. */
    private function touch(PlanRecord $plan, string $name = 'New'): void
    {
        $version = PlanRecord::query()->findOrFail($plan->id)->version;
        $node = DB::table('nodes')->where('plan_id', $plan->id)->orderBy('id')->value('id');
        self::assertIsString($node);
        $this->edit($plan, $version, self::rename($node, $name))->assertOk();
    }

    public function test_after_an_edit_nothing_need_be_read_again(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        self::assertCount(count(ThingKind::cases()), self::tablesRead($plan));
        $this->actingAs($user);
        $this->touch($plan);
        self::assertSame([], self::tablesRead($plan));
    }

    public function test_what_was_kept_is_what_the_rows_say_however_a_plan_is_edited(): void
    {
        $plan = $this->faulty(self::user());
        $store = app(PlanStore::class);
        $edits = new RandomEdits(7, app(Knowledge::class));
        for ($done = 0; $done < 25;) {
            $record = PlanRecord::query()->findOrFail($plan->id);
            $edited = $edits->next($store->load($record)->plan);
            if ($edited === null) {
                continue;
            }
            $done++;
            $store->save($record, $edited, new Findings([]), new Findings([]));
            $kept = self::read($plan);
            Cache::flush();
            self::assertSame(self::read($plan), $kept, "after edit {$done}");
        }
    }

    public function test_changes_that_are_put_down_beside_a_list_give_the_list_however_many_they_are(): void
    {
        $plan = $this->faulty(self::user());
        $store = app(PlanStore::class);
        $bare = new PlanStore(app(Knowledge::class), app(Checker::class), new Kept(new Repository(new NullStore), app(Edition::class)));
        $edits = new RandomEdits(11, app(Knowledge::class));
        for ($done = 0; $done < 60;) {
            $record = PlanRecord::query()->findOrFail($plan->id);
            $loaded = $store->load($record);
            $edited = $edits->next($loaded->plan);
            if ($edited !== null) {
                $done++;
                $before = $loaded->findings();
                $store->save($record, $edited, $before, app(Checker::class)->recheck($edited, $before));
                $fresh = $bare->load(PlanRecord::query()->findOrFail($plan->id));
                self::assertSame((new PlanWriter)->write($fresh->plan), self::read($plan), "after edit {$done}");
                if ($done % 10 === 0) {
                    $kept = $store->load(PlanRecord::query()->findOrFail($plan->id));
                    self::assertSame(json_encode($fresh->findings()->all()), json_encode($kept->findings()->all()), "found after edit {$done}");
                }
            }
        }
    }

    public function test_a_cache_that_fails_fails_no_edit(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        // Nobody can write there, whoever he is.
        $full = new FileStore(new Filesystem, '/proc/rundfunk');
        $this->app->instance(Kept::class, new Kept(new Repository($full), app(Edition::class)));
        $this->touch($plan);
        $this->touch($plan, 'Newer');
        self::assertStringContainsString('Newer', (string) $this->getJson("/api/plans/{$plan->id}")->assertOk()->getContent());
    }

    public function test_a_kind_that_was_lost_is_read_and_kept_again(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->touch($plan);
        Cache::forget("plan.{$plan->id}.node");
        self::assertSame(['nodes'], self::tablesRead($plan));
        self::assertSame([], self::tablesRead($plan));
    }

    public function test_a_kind_that_was_lost_is_kept_through_the_edits_after(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->touch($plan);
        $this->touch($plan, 'Second');
        Cache::forget("plan.{$plan->id}.node");
        self::assertSame(['nodes'], self::tablesRead($plan));
        $this->touch($plan, 'Third');
        self::assertSame([], self::tablesRead($plan), 'what changed before it was lost is no part of it');
        self::assertStringContainsString('Third', self::read($plan));
        Cache::forget("plan.{$plan->id}.node.changes");
        self::assertStringContainsString('Third', self::read($plan), 'without its changes a list is not believed');
    }

    /** @return iterable<string, array{mixed}> */
    public static function rubbish(): iterable
    {
        yield 'a text' => ['rubbish'];
        yield 'a list' => [[]];
        yield 'no things' => [['stamp' => 'x']];
    }

    #[DataProvider('rubbish')]
    public function test_an_entry_that_is_none_is_passed_over(mixed $entry): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->touch($plan);
        $before = self::read($plan);
        Cache::put("plan.{$plan->id}.node", $entry);
        self::assertSame($before, self::read($plan));
    }

    public function test_an_entry_left_over_from_an_edit_that_was_taken_back_is_not_believed(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->touch($plan);
        $before = self::read($plan);
        $store = app(PlanStore::class);
        try {
            Transaction::of(static function () use ($store, $plan): void {
                $record = PlanRecord::query()->findOrFail($plan->id);
                $loaded = $store->load($record);
                $edited = (new Editor(app(Knowledge::class)))->apply($loaded->plan, [Operation::change(ThingKind::Node, $loaded->plan->nodes()[0]->id, ['name' => 'Never'])]);
                $store->save($record, $edited, new Findings([]), $loaded->findings());
                throw new RuntimeException('the database went away');
            });
        } catch (RuntimeException) {
        }
        self::assertSame($before, self::read($plan));
        self::assertStringNotContainsString('Never', $before);
    }

    public function test_an_entry_of_another_edit_is_not_believed(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->touch($plan, 'Earlier');
        $old = Cache::get("plan.{$plan->id}.node");
        $this->touch($plan, 'Second');
        Cache::put("plan.{$plan->id}.node", $old);
        self::assertStringContainsString('Second', self::read($plan));
        self::assertStringNotContainsString('Earlier', self::read($plan));
    }

    public function test_what_another_edition_kept_is_not_believed_nor_does_losing_it_lose_anything(): void
    {
        $user = self::user();
        $plan = $this->faulty($user);
        $this->actingAs($user);
        $this->touch($plan);
        $before = $this->getJson("/api/plans/{$plan->id}")->assertOk()->json('findings');
        self::assertSame([], self::tablesRead($plan));
        $record = PlanRecord::query()->findOrFail($plan->id);
        // What an edition that finds nothing would have left behind, in the place and under the stamp of this one's.
        $other = new Kept(app('cache')->store(), new Edition('another'));
        $other->keep($plan->id, 'findings', $record->stamps['findings'] ?? '', []);
        $other->keep($plan->id, 'node', $record->stamps['node'] ?? '', Things::of(Node::class, [])->packed(Kept::packed(...)));
        self::assertSame(['nodes'], self::tablesRead($plan));
        self::assertSame($before, $this->getJson("/api/plans/{$plan->id}")->assertOk()->json('findings'));
        Cache::flush();
        self::assertSame($before, $this->getJson("/api/plans/{$plan->id}")->assertOk()->json('findings'));
        self::assertCount(count(ThingKind::cases()), self::tablesRead($this->linden($user)));
    }

    public function test_findings_are_kept_before_and_after_the_first_edit(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user)->getJson("/api/plans/{$plan->id}")->assertOk();
        self::assertIsArray(app(Kept::class)->take($plan->id, 'findings', PlanRecord::query()->findOrFail($plan->id)->stamps['findings'] ?? null)?->list());
        $this->touch($plan);
        self::assertIsArray(app(Kept::class)->take($plan->id, 'findings', PlanRecord::query()->findOrFail($plan->id)->stamps['findings'] ?? null)?->list());
    }

    /** Findings in one column of the row passed what a row can hold at 14,000 routes, and took the plan and the backup with them. */
    public function test_nothing_that_is_worked_out_is_in_the_plans_row(): void
    {
        $user = self::user();
        $plan = $this->faulty($user);
        $this->actingAs($user);
        $this->touch($plan);
        self::assertLessThan(2_000, strlen((string) json_encode(DB::table('plans')->where('id', $plan->id)->first())));
    }

    public function test_an_edition_is_of_the_code_and_told_by_the_start_command_or_the_files(): void
    {
        self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', Edition::ofCode()->name);
        self::assertSame(Edition::ofCode()->name, Edition::ofCode()->name);
        $given = getenv('RUNDFUNK_EDITION');
        putenv('RUNDFUNK_EDITION=told');
        $kept = (string) tempnam(sys_get_temp_dir(), 'edition');
        self::assertSame('told', Edition::running($kept)->name);
        putenv('RUNDFUNK_EDITION');
        $name = Edition::running($kept)->name;
        self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', $name);
        // What was found last counts for a moment, and no longer.
        file_put_contents($kept, 'found last');
        self::assertSame('found last', Edition::running($kept)->name);
        touch($kept, time() - 3);
        clearstatcache();
        self::assertSame($name, Edition::running($kept)->name);
        self::assertSame($name, file_get_contents($kept));
        self::assertSame($name, Edition::running('/nowhere/at/all')->name);
        unlink($kept);
        putenv($given === false ? 'RUNDFUNK_EDITION' : "RUNDFUNK_EDITION={$given}");
    }

    public function test_two_plans_of_the_same_things_are_kept_apart(): void
    {
        $kept = app(Kept::class);
        $things = app(PlanStore::class)->load($this->linden(self::user()))->plan->all(ThingKind::Node);
        $kept->keep('one', 'node', 'stamp', $things);
        self::assertEquals($things, $kept->take('one', 'node', 'stamp')?->list());
        self::assertNull($kept->take('other', 'node', 'stamp'));
        self::assertNull($kept->take('one', 'link', 'stamp'));
        self::assertNull($kept->take('one', 'node', null));
    }
}
