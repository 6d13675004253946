<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plans\PlanStore;
use ErrorException;
use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\Repository;
use Illuminate\Contracts\Cache\Repository as RepositoryContract;
use Illuminate\Support\Facades\Log;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\ThingKind;
use Tests\Demos;

/** What fails is told as what it is. */
final class FailureTest extends FeatureTestCase
{
    public function test_a_database_that_is_away_is_said_to_be_away_for_a_while(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        config(['database.connections.away' => [...(array) config('database.connections.mariadb'), 'port' => 1, 'host' => '127.0.0.1', 'unix_socket' => ''], 'database.default' => 'away']);
        try {
            $looked = $this->getJson("/api/plans/{$plan->id}");
            $edited = $this->edit($plan, 1, self::rename($plan->id, 'x'));
        } finally {
            config(['database.default' => 'mariadb']);
        }
        $looked->assertStatus(503)->assertHeader('Retry-After', '5')->assertJsonStructure(['message']);
        $edited->assertStatus(503);
        $this->getJson("/api/plans/{$plan->id}")->assertOk();
    }

    public function test_a_full_disk_fails_no_edit_that_the_database_can_take(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $node = Demos::lindenHollow()->nodes()[0]->id;
        // Whatever is written to this device is answered as on a full disk: full(4).
        config(['logging.default' => 'stack', 'logging.channels.stack.channels' => ['single'], 'logging.channels.single.path' => '/dev/full']);
        Log::forgetChannel('stack');
        Log::forgetChannel('single');
        $this->app->instance(Repository::class, new Repository(new class extends ArrayStore
        {
            public function get($key): never
            {
                throw new ErrorException('file_put_contents(): Write failed: No space left on device');
            }

            public function put($key, $value, $seconds): never
            {
                throw new ErrorException('file_put_contents(): Write failed: No space left on device');
            }
        }));
        $this->app->bind(RepositoryContract::class, Repository::class);
        $this->actingAs($user)->edit($plan, 1, self::rename($node, 'Kept'))->assertOk();
        $this->getJson("/api/plans/{$plan->id}")->assertOk()->assertJsonPath('version', 2);
    }

    public function test_a_plan_that_is_not_there_is_said_so_without_a_word_of_the_program(): void
    {
        $this->actingAs(self::user());
        $this->getJson('/api/plans/01ARZ3NDEKTSV4RRFFQ69G5FAV')->assertNotFound()->assertExactJson(['message' => 'There is no such plan of yours.']);
        $this->getJson('/api/nothing')->assertNotFound()->assertExactJson(['message' => 'There is nothing at this address.']);
    }

    public function test_a_plan_that_was_stored_with_more_than_it_may_hold_opens_and_can_lose_some(): void
    {
        $user = self::user();
        $draft = new PlanDraft(new PlanProperties('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'Large', 'eu', [], ''));
        for ($at = 0; $at <= ThingKind::Node->limit(); $at++) {
            $id = sprintf('01ARZ3NDEKTSV4RRFFQ6%06d', $at);
            $draft->put(new Node($id, "N{$at}", NodeKind::Controller, null, null, $at, ''));
        }
        $plan = app(PlanStore::class)->create($user, $draft->plan());
        $this->actingAs($user);
        $this->getJson("/api/plans/{$plan->id}")->assertOk();
        $add = ['op' => 'add', 'kind' => 'node', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAX', 'values' => ['name' => 'One more', 'kind' => 'controller', 'order' => 1]];
        $this->edit($plan, 1, $add)->assertUnprocessable();
        foreach (array_slice(array_keys($draft->all(ThingKind::Node)), 0, 2) as $at => $id) {
            $this->edit($plan, $at + 1, ['op' => 'remove', 'kind' => 'node', 'id' => $id, 'values' => []])->assertOk();
        }
        $this->edit($plan, 3, $add)->assertOk();
    }
}
