<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Plans\Access;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Demos;

/** Every address of the interface, drawn from the routes, asked by everyone there can be. */
final class AuthorisationTest extends FeatureTestCase
{
    /** Those that anyone may ask. */
    private const OPEN = ['GET /', 'GET api/session', 'POST api/session', 'POST api/registration'];

    /** Those that change a plan, and what is needed for it. A plan's others are for whoever may look at it. */
    private const NEEDED = [
        'POST api/plans/{plan}/operations' => Access::Editor,
        'POST api/plans/{plan}/undo' => Access::Editor,
        'POST api/plans/{plan}/redo' => Access::Editor,
        'DELETE api/plans/{plan}' => Access::Owner,
        'POST api/plans/{plan}/restore' => Access::Owner,
    ];

    /** @return list<string> method and address */
    private static function addresses(): array
    {
        $addresses = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
            if (str_starts_with($route->uri(), 'api') || $route->uri() === '/') {
                $addresses[] = "{$method} {$route->uri()}";
            }
        }

        return array_values(array_diff($addresses, self::OPEN));
    }

    /** @return list<string> those that are about a plan */
    private static function ofPlans(): array
    {
        return array_values(array_filter(self::addresses(), static fn (string $address): bool => str_contains($address, '{plan}')));
    }

    /** @return int the status that came */
    private function ask(string $address, PlanRecord $plan): int
    {
        [$method, $uri] = explode(' ', $address);
        $node = Demos::lindenHollow()->nodes()[0]->id;
        // Undo and redo need something to take back: an edit first, whatever comes of it.
        $body = ['version' => PlanRecord::withTrashed()->findOrFail($plan->id)->version, 'label' => '', 'operations' => [self::rename($node, 'Mine')], 'views' => []];
        $link = Demos::lindenHollow()->links()[0]->id;
        $path = '/'.str_replace(['{plan}', '{node}', '{link}', '{artefact}', '{view}', '{name}', '{session}'], [$plan->id, $node, $link, 'x', 'line-map', 'x', 'x'], $uri);

        return $this->json($method, $path, $method === 'GET' ? [] : $body)->getStatusCode();
    }

    public function test_every_address_needs_a_session_but_four(): void
    {
        $plan = $this->linden(self::user());
        self::assertGreaterThan(15, count(self::addresses()));
        foreach (self::addresses() as $address) {
            self::assertSame(401, $this->ask($address, $plan), $address);
        }
    }

    public function test_what_is_needed_is_said_of_addresses_that_there_are(): void
    {
        self::assertSame([], array_diff(array_keys(self::NEEDED), self::ofPlans()));
        self::assertGreaterThan(10, count(self::ofPlans()));
    }

    /** @return iterable<string, array{Access|null}> */
    public static function people(): iterable
    {
        yield 'stranger' => [null];
        foreach (Access::cases() as $access) {
            yield $access->value => [$access];
        }
    }

    #[DataProvider('people')]
    public function test_a_plan_is_for_those_it_is_shared_with_as_far_as_it_is(?Access $access): void
    {
        $owner = self::user();
        $eve = $access === Access::Owner ? $owner : self::user('Eve');
        $plan = null;
        foreach (self::ofPlans() as $address) {
            // Another one after whatever may have changed it.
            $plan ??= $this->linden($owner);
            if ($access !== null && $access !== Access::Owner) {
                PlanMember::put($plan->id, $eve, $access);
            }
            if (str_ends_with($address, '/restore')) {
                $plan->delete();
            }
            $status = $this->actingAs($eve)->ask($address, $plan);
            $needed = self::NEEDED[$address] ?? Access::Viewer;
            // What the request lacks is told to those alone whom it concerns.
            $expected = match (true) {
                $access === null => [404],
                ! $access->covers($needed) => [403],
                default => [200, 201, 404, 409, 422],
            };
            self::assertContains($status, $expected, $address);
            if ($access === null || ! $access->covers($needed)) {
                $now = PlanRecord::withTrashed()->findOrFail($plan->id);
                self::assertSame([1, $plan->trashed()], [$now->version, $now->trashed()], $address);
            }
            if ($status === 404 && $access !== null) {
                self::assertStringContainsString('artefacts', $address);
            }
            if (! str_starts_with($address, 'GET ')) {
                $plan = null;
            }
        }
    }

    public function test_the_list_holds_what_is_shared_and_says_for_what(): void
    {
        $plan = $this->linden(self::user());
        $eve = self::user('Eve');
        $this->actingAs($eve)->getJson('/api/plans')->assertExactJson(['plans' => []]);
        $this->assertCommand(0, ['plan' => $plan->id, 'email' => 'EVE@linden-hollow.example', 'access' => 'viewer']);
        $this->getJson('/api/plans')->assertJsonPath('plans.0.id', $plan->id)->assertJsonPath('plans.0.access', 'viewer');
        $this->getJson("/api/plans/{$plan->id}")->assertJsonPath('access', 'viewer');
        $this->assertCommand(0, ['plan' => $plan->id, 'email' => $eve->email, 'access' => 'none']);
        $this->getJson('/api/plans')->assertExactJson(['plans' => []]);
    }

    public function test_a_plan_that_is_handed_over_has_one_owner_and_who_owned_it_goes_on_editing(): void
    {
        $ann = self::user();
        $eve = self::user('Eve');
        $plan = $this->linden($ann);
        $this->assertCommand(1, ['plan' => $plan->id, 'email' => $ann->email, 'access' => 'viewer']);
        $this->assertCommand(1, ['plan' => 'nothing', 'email' => $eve->email, 'access' => 'viewer']);
        $this->assertCommand(1, ['plan' => $plan->id, 'email' => 'nobody@linden-hollow.example', 'access' => 'viewer']);
        $this->assertCommand(1, ['plan' => $plan->id, 'email' => $eve->email, 'access' => 'boss']);
        $this->assertCommand(0, ['plan' => $plan->id, 'email' => $eve->email, 'access' => 'owner']);
        $this->actingAs($ann)->edit($plan, 1, self::rename(Demos::lindenHollow()->nodes()[0]->id, 'x'))->assertOk();
        $this->deleteJson("/api/plans/{$plan->id}")->assertForbidden();
        $this->actingAs($eve)->deleteJson("/api/plans/{$plan->id}")->assertOk();
    }

    public function test_who_is_shut_out_meanwhile_changes_nothing_more(): void
    {
        $plan = $this->linden(self::user());
        $eve = self::user('Eve');
        PlanMember::put($plan->id, $eve, Access::Editor);
        $node = Demos::lindenHollow()->nodes()[0]->id;
        $this->actingAs($eve)->edit($plan, 1, self::rename($node, 'Hers'))->assertOk();
        PlanMember::put($plan->id, $eve, Access::Viewer);
        $this->edit($plan, 2, self::rename($node, 'Hers again'))->assertForbidden();
        $this->postJson("/api/plans/{$plan->id}/undo")->assertForbidden();
        PlanMember::query()->where('user_id', $eve->id)->delete();
        $this->edit($plan, 2, self::rename($node, 'Hers again'))->assertNotFound();
        self::assertSame(2, PlanRecord::query()->findOrFail($plan->id)->version);
    }

    /** @param  array<string, string>  $arguments */
    private function assertCommand(int $code, array $arguments): void
    {
        self::assertSame($code, Artisan::call('plan:share', $arguments), Artisan::output());
    }
}
