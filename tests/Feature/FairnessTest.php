<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Limits\Slots;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Symfony\Component\ErrorHandler\Error\FatalError;
use Tests\Demos;

/** Nobody takes so much of the server that others wait. */
final class FairnessTest extends FeatureTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/rundfunk-slots-'.bin2hex(random_bytes(4));
        $this->app->instance(Slots::class, new Slots($this->folder));
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        is_dir($this->folder) && rmdir($this->folder);
        parent::tearDown();
    }

    public function test_a_slot_is_taken_once_and_comes_back(): void
    {
        $slots = new Slots($this->folder);
        $one = $slots->take('any', 2);
        $other = $slots->take('any', 2);
        self::assertNotNull($one);
        self::assertNotNull($other);
        self::assertNull($slots->take('any', 2));
        self::assertNotNull($slots->take('another', 1));
        $one->giveBack();
        self::assertNotNull($slots->take('any', 2));
    }

    public function test_a_third_of_what_takes_long_comes_again_later_and_the_rest_goes_on(): void
    {
        $ann = self::user();
        $plan = $this->linden($ann);
        $held = [app(Slots::class)->take('heavy', 2), app(Slots::class)->take('heavy', 2)];
        $this->actingAs($ann);
        $this->getJson("/api/plans/{$plan->id}/assignment")->assertStatus(503)->assertHeader('Retry-After', '1')->assertHeader('X-Turn', 'taken');
        $this->getJson("/api/plans/{$plan->id}")->assertOk();
        $this->edit($plan, 1, self::rename(Demos::lindenHollow()->nodes()[0]->id, 'x'))->assertOk();
        $held[0]?->giveBack();
        $this->getJson("/api/plans/{$plan->id}/assignment")->assertOk();
        $this->getJson("/api/plans/{$plan->id}/assignment")->assertOk();
    }

    public function test_one_account_has_one_of_them(): void
    {
        $ann = self::user();
        $bob = self::user('Bob');
        [$hers, $his] = [$this->linden($ann), $this->linden($bob)];
        $held = app(Slots::class)->take("heavy-of-{$ann->id}", 1);
        $this->actingAs($ann)->getJson("/api/plans/{$hers->id}/assignment")->assertStatus(503);
        $this->actingAs($bob)->getJson("/api/plans/{$his->id}/assignment")->assertOk();
        $held?->giveBack();
    }

    public function test_a_slot_is_given_back_by_what_fails(): void
    {
        $this->actingAs(self::user());
        for ($time = 0; $time < 4; $time++) {
            $this->call('POST', '/api/plans/import', content: '[', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'])->assertUnprocessable();
        }
    }

    /** @return iterable<string, array{bool}> */
    public static function whose(): iterable
    {
        yield 'an account' => [true];
        yield 'an address' => [false];
    }

    #[DataProvider('whose')]
    public function test_whoever_has_used_up_his_minute_waits_and_nobody_else_does(bool $account): void
    {
        $ann = self::user();
        $bob = self::user('Bob');
        RateLimiter::increment($account ? "time of {$ann->id}" : 'time from 127.0.0.1', 60, 60_000);
        $this->travel(20)->seconds();
        $this->actingAs($ann)->getJson('/api/plans')->assertTooManyRequests()->assertHeader('Retry-After', '40');
        $this->actingAs($bob)->withServerVariables(['REMOTE_ADDR' => '192.0.2.7'])->getJson('/api/plans')->assertOk();
        $this->travel(41)->seconds();
        $this->actingAs($ann)->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->getJson('/api/plans')->assertOk();
    }

    public function test_whoever_runs_the_server_says_how_much_a_minute_holds(): void
    {
        $ann = self::user();
        RateLimiter::increment("time of {$ann->id}", 60, 60_000);
        putenv('TIME_BUDGET_SECONDS=120');
        try {
            $this->actingAs($ann)->getJson('/api/plans')->assertOk();
        } finally {
            putenv('TIME_BUDGET_SECONDS');
        }
        $this->getJson('/api/plans')->assertTooManyRequests();
    }

    public function test_the_time_that_one_request_has_is_not_left_to_what_comes_after_it(): void
    {
        $before = ini_get('max_execution_time');
        $ann = self::user();
        $this->actingAs($ann)->edit($this->linden($ann), 1, self::rename(Demos::lindenHollow()->nodes()[0]->id, 'x'))->assertOk();
        self::assertSame($before, ini_get('max_execution_time'));
    }

    public function test_what_is_used_is_counted(): void
    {
        $ann = self::user();
        $plan = $this->linden($ann);
        $this->actingAs($ann)->getJson("/api/plans/{$plan->id}/assignment")->assertOk();
        self::assertGreaterThan(0, (int) RateLimiter::attempts("time of {$ann->id}"));
        self::assertSame(RateLimiter::attempts("time of {$ann->id}"), RateLimiter::attempts('time from 127.0.0.1'));
    }

    public function test_a_cache_that_is_full_and_slots_that_cannot_be_made_keep_nobody_from_an_edit(): void
    {
        $ann = self::user();
        $plan = $this->linden($ann);
        file_put_contents($this->folder, 'a file where the folder would be');
        Cache::shouldReceive('driver', 'store', 'get', 'put', 'add', 'increment', 'has')->andThrow(new RuntimeException('No space left on device'));
        $this->actingAs($ann)->edit($plan, 1, self::rename(Demos::lindenHollow()->nodes()[0]->id, 'x'))->assertOk();
        unlink($this->folder);
    }

    public function test_the_web_server_sends_to_the_workers_that_give_way_what_takes_long_and_nothing_else(): void
    {
        self::assertSame(1, preg_match('#"~(\^/api/\(plans/import[^"]+)" unix:#', (string) file_get_contents(dirname(__DIR__, 2).'/docs/operations.md'), $map));
        $heavy = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $is = in_array('turns:heavy', $route->gatherMiddleware(), true);
            $heavy += $is ? 1 : 0;
            self::assertSame($is, preg_match("#{$map[1]}#", '/'.preg_replace('/\{\w+\}/', 'x', $route->uri())) === 1 && ! in_array('DELETE', $route->methods(), true), $route->uri());
        }
        self::assertGreaterThan(5, $heavy);
    }

    /** @return iterable<string, array{string, int}> */
    public static function fatal(): iterable
    {
        yield 'too long' => ['Maximum execution time of 15 seconds exceeded', 422];
        yield 'too much' => ['Allowed memory size of 536870912 bytes exhausted (tried to allocate 20480 bytes)', 422];
        yield 'a mistake of the program' => ['Cannot redeclare f()', 500];
    }

    #[DataProvider('fatal')]
    public function test_what_is_given_up_says_so(string $message, int $status): void
    {
        $request = Request::create('/api/plans/x/assignment', server: ['HTTP_ACCEPT' => 'application/json']);
        $answer = app(ExceptionHandler::class)->render($request, new FatalError($message, 0, ['type' => E_ERROR, 'message' => $message, 'file' => '', 'line' => 0]));
        self::assertSame($status, $answer->getStatusCode());
    }
}
