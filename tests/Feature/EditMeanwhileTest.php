<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\PlanStore;
use Illuminate\Database\Connection;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;

/** Two people on one plan: what the one keeps while the other's look is under way is seen whole or not at all. */
final class EditMeanwhileTest extends FeatureTestCase
{
    private Connection $elsewhere;

    /** @return list<string> none: a second connection must see what is kept */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    protected function setUp(): void
    {
        parent::setUp();
        config(['database.connections.elsewhere' => config('database.connections.mariadb')]);
        $this->elsewhere = DB::connection('elsewhere');
    }

    protected function tearDown(): void
    {
        PlanRecord::withTrashed()->forceDelete();
        User::query()->delete();
        parent::tearDown();
    }

    public function test_a_node_that_comes_while_a_plan_is_read_comes_with_all_or_nothing(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $read = [];
        DB::listen(function (QueryExecuted $query) use ($plan, &$read): void {
            preg_match('/^select .* from `(\w+)`/', $query->sql, $match);
            if ($query->connectionName !== 'elsewhere' && ($match[1] ?? '') === 'nodes' && $read === []) {
                $read[] = 'nodes';
                $this->addNodeElsewhere($plan->id);
            }
        });
        $loaded = app(PlanStore::class)->look($user, $plan->id);
        self::assertSame(['nodes'], $read);
        self::assertSame(1, $loaded->version);
        self::assertNotContains('Newcomer', array_column($loaded->plan->nodes(), 'name'));
        // The reader refuses whatever refers to something that is not there.
        $text = (new PlanWriter)->write($loaded->plan);
        self::assertSame($text, (new PlanWriter)->write((new PlanReader(app(Knowledge::class)))->read($text)));

        $after = app(PlanStore::class)->look($user, $plan->id);
        self::assertSame(2, $after->version);
        self::assertContains('Newcomer', array_column($after->plan->nodes(), 'name'));
    }

    /** A node and its end on a link, kept from another connection. */
    private function addNodeElsewhere(string $planId): void
    {
        $this->elsewhere->transaction(function () use ($planId): void {
            $ids = ['nodes' => '01J8ZZZZZZZZZZZZZZZZZZZZN1', 'endpoints' => '01J8ZZZZZZZZZZZZZZZZZZZZE1'];
            foreach ($ids as $table => $id) {
                $row = (array) $this->elsewhere->table($table)->where('plan_id', $planId)->orderBy('id')->first();
                $this->elsewhere->table($table)->insert([...$row, 'id' => $id, ...($table === 'nodes' ? ['name' => 'Newcomer'] : ['node_id' => $ids['nodes'], 'module_id' => null])]);
            }
            $this->elsewhere->table('plans')->where('id', $planId)->update(['version' => 2, 'stamps' => null]);
        });
    }
}
