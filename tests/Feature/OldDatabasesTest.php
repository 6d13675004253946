<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Models\User;
use Closure;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Shipped;

/**
 * A database that any earlier build left behind opens after an upgrade. `Dumps` holds one of each commit at which a
 * migration or a shape changed (found by hashing both through history), seeded with the demo of that day.
 */
final class OldDatabasesTest extends FrameworkTestCase
{
    use ReadsFirstLooks;
    use ScratchDatabase;

    private const SCRATCH = 'rundfunk_test_old';

    protected function setUp(): void
    {
        parent::setUp();
        $this->useScratch(self::SCRATCH, [PDO::MYSQL_ATTR_MULTI_STATEMENTS => true, PDO::ATTR_EMULATE_PREPARES => true]);
    }

    protected function tearDown(): void
    {
        $this->dropScratch(self::SCRATCH);
        parent::tearDown();
    }

    /** @return iterable<string, array{string}> */
    public static function dumps(): iterable
    {
        foreach (glob(__DIR__.'/Dumps/*.sql.gz') ?: [] as $file) {
            yield basename($file, '.sql.gz') => [$file];
        }
    }

    public function test_what_fed_a_module_in_format_1_feeds_it_still(): void
    {
        // The last database of format 1, and the same demo as a file of that format.
        $this->restore(__DIR__.'/Dumps/411043c.sql.gz');
        $this->actingAs(User::query()->firstOrFail());
        $kept = json_decode((string) gzdecode((string) file_get_contents(dirname(__DIR__).'/Golden/linden-hollow.json.gz')), true);
        self::assertIsArray($kept);
        $plan = PlanRecord::query()->where('name', 'Linden Hollow')->firstOrFail();
        $file = json_decode((string) $this->get("/api/plans/{$plan->id}/file")->assertOk()->getContent(), true);
        $read = json_decode((new PlanWriter)->write((new PlanReader(Shipped::knowledge()))->read($kept['plan'])), true);
        self::assertIsArray($file);
        self::assertIsArray($read);
        self::assertNotEmpty($read['supplies']);
        self::assertNotEmpty($read['parts']);
        foreach (['supplies', 'parts', 'modules', 'endpoints', 'nodes'] as $list) {
            self::assertSame($read[$list], $file[$list], $list);
        }
        self::assertFalse(DB::getSchemaBuilder()->hasColumn('modules', 'supply'));
    }

    public function test_an_edit_that_took_another_form_stays_in_the_history_and_is_not_taken_back(): void
    {
        $this->restore(__DIR__.'/Dumps/411043c.sql.gz', static function (): void {
            $plan = DB::table('plans')->where('name', 'Linden Hollow')->value('id');
            foreach (['{"supply":"own"}', '{"name":"Late"}'] as $number => $values) {
                DB::table('plan_edits')->insert([
                    'plan_id' => $plan, 'user_id' => 1, 'version' => $number + 2, 'label' => "Edit {$number}", 'state' => 'done',
                    'operations' => '[{"op":"change","kind":"module","id":"x","values":'.$values.'}]', 'inverse' => '[]', 'touched' => '{}', 'created_at' => now(), 'updated_at' => now(),
                ]);
            }
        });
        self::assertSame(['Edit 0' => 'settled', 'Edit 1' => 'done'], DB::table('plan_edits')->orderBy('id')->pluck('state', 'label')->all());
    }

    /** @param  Closure(): void  $first  what is done to the database before it is upgraded */
    private function restore(string $file, ?Closure $first = null): void
    {
        $result = DB::connection()->getPdo()->query((string) gzdecode((string) file_get_contents($file)));
        self::assertNotFalse($result);
        while ($result->nextRowset()) {
            // Each statement's outcome is taken, so that one that fails is heard.
        }
        if ($first !== null) {
            $first();
        }
        self::assertSame(0, Artisan::call('migrate', ['--force' => true]), Artisan::output());
    }

    #[DataProvider('dumps')]
    public function test_its_plans_open_and_can_be_edited_undone_and_exported(string $file): void
    {
        $this->restore($file);

        $this->actingAs(User::query()->firstOrFail());
        $plans = PlanRecord::query()->get();
        self::assertNotEmpty($plans);
        foreach ($plans as $plan) {
            $opened = $this->getJson("/api/plans/{$plan->id}")->assertOk();
            $before = $this->get("/api/plans/{$plan->id}/file")->assertOk()->getContent();
            foreach (['nodes', 'links', 'endpoints', 'controls', 'outputs', 'routes'] as $list) {
                $thing = self::document($opened)[$list][0] ?? null;
                self::assertIsArray($thing, "{$plan->name} has {$list}");
                $this->postJson("/api/plans/{$plan->id}/operations", [
                    'version' => PlanRecord::query()->findOrFail($plan->id)->version,
                    'label' => 'Moved',
                    'operations' => [['op' => 'change', 'kind' => rtrim($list, 's'), 'id' => $thing['id'], 'values' => ['order' => 7]]],
                ])->assertOk();
                $this->postJson("/api/plans/{$plan->id}/undo")->assertOk();
            }
            self::assertSame($before, $this->get("/api/plans/{$plan->id}/file")->assertOk()->getContent());
            foreach (self::document($opened)['nodes'] as $node) {
                $this->get("/api/plans/{$plan->id}/nodes/{$node['id']}/header")->assertOk();
                $this->getJson("/api/plans/{$plan->id}/nodes/{$node['id']}/sheet")->assertOk();
            }
            // The file that the upgraded plan is saved as can be read back.
            $this->call('POST', '/api/plans/import', content: (string) $before, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'])->assertCreated();
        }
    }
}
