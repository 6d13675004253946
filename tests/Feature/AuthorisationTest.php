<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Route;
use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\LindenHollow;

/** Every address of the interface, asked without a session and by someone whose plan it is not. */
final class AuthorisationTest extends FeatureTestCase
{
    /** Those that anyone may ask. */
    private const OPEN = ['GET /', 'GET api/session', 'POST api/session', 'POST api/registration'];

    /** @return list<array{string, string}> */
    private static function addresses(): array
    {
        $addresses = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
            if (! in_array("{$method} {$route->uri()}", self::OPEN, true) && (str_starts_with($route->uri(), 'api') || $route->uri() === '/')) {
                $addresses[] = [$method, $route->uri()];
            }
        }

        return $addresses;
    }

    public function test_nothing_answers_without_a_session(): void
    {
        $plan = $this->linden(self::user());
        self::assertGreaterThan(15, count(self::addresses()));
        foreach (self::addresses() as [$method, $uri]) {
            $this->json($method, '/'.str_replace(['{plan}', '{node}', '{artefact}', '{name}', '{view}'], [$plan->id, 'x', 'x', 'x', 'x'], $uri))->assertUnauthorized();
        }
    }

    public function test_a_plan_is_its_owners_alone(): void
    {
        $plan = $this->linden(self::user());
        $node = LindenHollow::plan(app(Assigner::class))->nodes()[0]->id;
        $before = self::document($this->actingAs($plan->user)->getJson("/api/plans/{$plan->id}"));
        $this->actingAs(self::user('Eve'));
        $asked = 0;
        foreach (self::addresses() as [$method, $uri]) {
            if (str_contains($uri, '{plan}')) {
                $this->json($method, '/'.str_replace(['{plan}', '{node}', '{artefact}', '{view}'], [$plan->id, $node, 'ir-keymap', 'line-map'], $uri), ['version' => 1, 'operations' => [self::rename($node, 'Mine')]])->assertNotFound();
                $asked++;
            }
        }
        self::assertGreaterThan(10, $asked);
        self::assertSame($before, self::document($this->actingAs($plan->user)->getJson("/api/plans/{$plan->id}")));
        $this->actingAs(User::query()->where('name', 'Eve')->firstOrFail())->getJson('/api/plans')->assertExactJson(['plans' => []]);
    }
}
