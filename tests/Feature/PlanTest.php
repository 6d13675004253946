<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Plans\PlanStore;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\ThingKind;
use Symfony\Component\Process\Process;
use Tests\Demos;

final class PlanTest extends FeatureTestCase
{
    public function test_a_plan_is_begun_listed_deleted_and_brought_back(): void
    {
        $this->actingAs(self::user());
        $id = $this->postJson('/api/plans', ['name' => 'Mine', 'region' => 'eu'])->assertCreated()->json('id');
        $this->getJson('/api/plans')->assertJsonPath('plans.0.name', 'Mine')->assertJsonPath('plans.0.nodes', 0);
        $this->getJson("/api/plans/{$id}")->assertJsonPath('version', 1)->assertJsonPath('findings', []);
        $this->deleteJson("/api/plans/{$id}")->assertOk();
        $this->getJson("/api/plans/{$id}")->assertNotFound();
        $this->getJson('/api/plans')->assertExactJson(['plans' => []]);
        $this->postJson("/api/plans/{$id}/restore")->assertOk();
        $this->getJson("/api/plans/{$id}")->assertOk();
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unfit(): iterable
    {
        yield 'no name' => [['region' => 'eu'], '/name'];
        yield 'name too long' => [['name' => str_repeat('x', 81), 'region' => 'eu'], '/name'];
        yield 'no such region' => [['name' => 'x', 'region' => 'mars'], '/region'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('unfit')]
    public function test_a_bad_plan_is_refused_at_its_field(array $body, string $place): void
    {
        $this->actingAs(self::user())->postJson('/api/plans', $body)->assertUnprocessable()->assertJsonPath('problems.0.place', $place);
    }

    public function test_a_copy_holds_the_same_and_is_apart(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $copy = $this->actingAs($user)->postJson("/api/plans/{$plan->id}/duplicate")->assertCreated()->json('id');
        $original = self::document($this->getJson("/api/plans/{$plan->id}"));
        $copied = self::document($this->getJson("/api/plans/{$copy}"));
        self::assertSame('Copy of Linden Hollow', $copied['plan']['name']);
        unset($original['plan'], $copied['plan']);
        self::assertSame($original, $copied);
        $this->edit(PlanRecord::query()->findOrFail($copy), 1, self::rename($copied['nodes'][0]['id'], 'Changed'))->assertOk();
        self::assertSame($original['nodes'], self::document($this->getJson("/api/plans/{$plan->id}"))['nodes']);
    }

    public function test_storing_and_loading_changes_nothing(): void
    {
        $user = self::user();
        foreach ([[Demos::lindenHollow(), $this->linden($user)], [Demos::faultyOnPurpose(), $this->faulty($user)]] as [$plan, $record]) {
            self::assertSame((new PlanWriter)->write($plan), (new PlanWriter)->write(app(PlanStore::class)->load($record)->plan));
        }
    }

    public function test_a_plan_loads_in_one_query_a_table_however_large_it_is(): void
    {
        $user = self::user();
        $counts = [];
        foreach ([$this->linden($user), $this->faulty($user)] as $record) {
            foreach (['first', 'second'] as $look) {
                DB::enableQueryLog();
                DB::flushQueryLog();
                app(PlanStore::class)->look($user, $record->id);
                $counts[$look][] = count(DB::getQueryLog());
                DB::disableQueryLog();
            }
        }
        $most = count(ThingKind::cases()) + 1;
        // The second time its row alone, which says that what was put together then still holds.
        self::assertSame(['first' => [$most, $most], 'second' => [1, 1]], $counts);
    }

    public function test_the_screen_gives_what_the_command_line_gives_on_the_exported_plan(): void
    {
        $user = self::user();
        $record = $this->faulty($user);
        $file = (string) tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents($file, $this->actingAs($user)->get("/api/plans/{$record->id}/file")->assertOk()->getContent());
        $run = static function (string ...$arguments): mixed {
            $process = new Process([PHP_BINARY, base_path('bin/rundfunk'), ...$arguments]);
            $process->run();

            return json_decode($process->getOutput(), true, 64, JSON_THROW_ON_ERROR);
        };
        self::assertSame($this->getJson("/api/plans/{$record->id}")->json('findings'), $run('check', $file, '--format=json')['findings']);
        self::assertSame($this->getJson("/api/plans/{$record->id}/assignment")->json('proposals'), $run('assign', $file, '--format=json')['proposals']);
        unlink($file);
    }

    public function test_an_account_has_so_many_plans_and_no_more_deleted_ones_included(): void
    {
        $ann = self::user();
        $bob = self::user('Bob');
        $this->actingAs($ann)->postJson('/api/plans', ['name' => 'First', 'region' => 'eu'])->assertCreated();
        $ids = array_map(static fn (int $at): string => sprintf('01ARZ3NDEKTSV4RRFF%08d', $at), range(1, PlanStore::PLANS - 1));
        DB::table('plans')->insert(array_map(static fn (string $id): array => ['id' => $id, 'version' => 1, 'name' => 'Many', 'region' => 'eu', 'busy_wifi' => '[]', 'note' => '', 'deleted_at' => now()], $ids));
        DB::table('plan_members')->insert(array_map(static fn (string $id): array => ['plan_id' => $id, 'user_id' => $ann->id, 'access' => 'owner'], $ids));
        $this->postJson('/api/plans', ['name' => 'One more', 'region' => 'eu'])->assertUnprocessable();
        // Those of others are not counted.
        PlanMember::query()->where('plan_id', $ids[0])->update(['access' => 'editor']);
        $this->postJson('/api/plans', ['name' => 'One more', 'region' => 'eu'])->assertCreated();
        $this->actingAs($bob)->postJson('/api/plans', ['name' => 'His', 'region' => 'eu'])->assertCreated();
    }
}
