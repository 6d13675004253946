<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\SparingSessionHandler;
use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\Access;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Session;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;
use ZipArchive;

/** Accounts with sessions as they are kept: in the database, a row for each browser. */
final class AccountTest extends FeatureTestCase
{
    private const ANN = ['email' => 'ann@linden-hollow.example', 'password' => 'a long password'];

    private User $ann;

    protected function setUp(): void
    {
        parent::setUp();
        config(['session.driver' => 'database']);
        $this->ann = self::user();
    }

    /** @return string the session that a browser of this name is signed in with from now on */
    private function signIn(string $browser): string
    {
        $answer = $this->as(null)->postJson('/api/session', self::ANN, ['User-Agent' => $browser])->assertOk();

        return (string) $answer->getCookie((string) config('session.cookie'), true)?->getValue();
    }

    /** Another browser, which knows nothing of what those before it did. */
    private function as(?string $session): static
    {
        Auth::forgetGuards();
        app(SessionManager::class)->forgetDrivers();
        $this->app->forgetInstance('session.store');
        $this->app->forgetInstance('auth.driver');
        $this->defaultCookies = $session === null ? [] : [(string) config('session.cookie') => $session];

        return $this->withCredentials();
    }

    /** @return TestResponse<Response> */
    private function ask(string $session, string $method, string $path, mixed ...$body): TestResponse
    {
        return $this->as($session)->json($method, $path, $body);
    }

    public function test_sessions_are_listed_and_ended_one_by_one_or_all_others(): void
    {
        $home = $this->signIn('Home browser');
        $away = $this->signIn('Away browser');
        $third = $this->signIn('Third browser');
        $list = $this->ask($home, 'GET', '/api/account')->assertOk()->json('sessions');
        self::assertEqualsCanonicalizing(['Home browser', 'Away browser', 'Third browser'], array_column($list, 'browser'));
        self::assertSame(['Home browser'], array_column(array_filter($list, static fn (array $one): bool => $one['current']), 'browser'));
        // Nobody who sees the list can take a session over.
        self::assertStringNotContainsString($away, (string) json_encode($list));

        $key = array_column($list, 'key', 'browser')['Away browser'];
        $this->ask($home, 'DELETE', "/api/account/sessions/{$key}")->assertOk()->assertJsonCount(2, 'sessions');
        $this->ask($away, 'GET', '/api/plans')->assertUnauthorized();
        $this->ask($home, 'DELETE', "/api/account/sessions/{$key}")->assertNotFound();
        $this->ask($home, 'DELETE', '/api/account/sessions')->assertOk()->assertJsonCount(1, 'sessions');
        $this->ask($third, 'GET', '/api/plans')->assertUnauthorized();
        $this->ask($home, 'GET', '/api/plans')->assertOk();
    }

    public function test_nobody_ends_a_session_of_another(): void
    {
        $home = $this->signIn('Home browser');
        $key = $this->ask($home, 'GET', '/api/account')->json('sessions.0.key');
        self::user('Eve');
        $eve = (string) $this->as(null)->postJson('/api/session', [...self::ANN, 'email' => 'eve@linden-hollow.example'])->assertOk()->getCookie((string) config('session.cookie'), true)?->getValue();
        $this->ask($eve, 'DELETE', "/api/account/sessions/{$key}")->assertNotFound();
        $this->ask($eve, 'DELETE', '/api/account/sessions')->assertOk();
        $this->ask($home, 'GET', '/api/plans')->assertOk();
    }

    public function test_a_new_password_needs_the_old_one_and_ends_every_other_session(): void
    {
        $home = $this->signIn('Home browser');
        $away = $this->signIn('Away browser');
        $this->ask($home, 'PUT', '/api/account/password', current: 'not it at all', password: 'quite another')->assertJsonValidationErrorFor('current');
        $this->ask($home, 'PUT', '/api/account/password', current: 'a long password', password: 'short')->assertJsonValidationErrorFor('password');
        $this->ask($away, 'GET', '/api/plans')->assertOk();
        $changed = $this->ask($home, 'PUT', '/api/account/password', current: 'a long password', password: 'quite another')->assertOk()->assertJsonCount(1, 'sessions');
        $this->ask($away, 'GET', '/api/plans')->assertUnauthorized();
        $this->ask((string) $changed->getCookie((string) config('session.cookie'), true)?->getValue(), 'GET', '/api/plans')->assertOk();
        $this->as(null)->postJson('/api/session', self::ANN)->assertUnprocessable();
        $this->as(null)->postJson('/api/session', [...self::ANN, 'password' => 'quite another'])->assertOk();
    }

    public function test_whoever_runs_the_server_can_give_an_account_a_new_password(): void
    {
        $home = $this->signIn('Home browser');
        self::assertSame(0, Artisan::call('account:reset', ['email' => 'ANN@linden-hollow.example']));
        $password = trim(Artisan::output());
        $this->ask($home, 'GET', '/api/plans')->assertUnauthorized();
        $this->as(null)->postJson('/api/session', [...self::ANN, 'password' => $password])->assertOk();
        self::assertSame(1, Artisan::call('account:reset', ['email' => 'nobody@linden-hollow.example']));
    }

    public function test_an_account_takes_its_plans_along_and_they_can_be_imported_again(): void
    {
        $plan = $this->linden($this->ann);
        $home = $this->signIn('Home browser');
        [$account, $file] = $this->archive($home);
        self::assertSame('ann@linden-hollow.example', $account['email']);
        self::assertStringNotContainsString($this->ann->password, (string) json_encode($account));
        self::assertSame((string) $this->as($home)->get("/api/plans/{$plan->id}/file")->getContent(), $file);
        self::assertSame([$account, $file], $this->archive($home));
        $this->as($home)->edit($plan, 1, self::rename(Demos::lindenHollow()->nodes()[0]->id, 'Renamed'))->assertOk();
        [, $file] = $this->archive($home);
        self::assertStringContainsString('"Renamed"', $file);
        self::assertSame((string) $this->as($home)->get("/api/plans/{$plan->id}/file")->getContent(), $file);
    }

    /** @return array{array<string, mixed>, string} what it says of the account, and the file of its only plan */
    private function archive(string $session): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'test');
        file_put_contents($path, (string) $this->ask($session, 'GET', '/api/account/file')->assertOk()->getContent());
        $zip = new ZipArchive;
        self::assertTrue($zip->open($path));
        $account = json_decode((string) $zip->getFromName('account.json'), true);
        self::assertIsArray($account);
        $file = (string) $zip->getFromName($account['plans'][0]['file']);
        $zip->close();
        unlink($path);

        return [$account, $file];
    }

    public function test_a_deleted_account_is_gone_with_its_own_plans_and_leaves_those_of_others(): void
    {
        $mine = $this->linden($this->ann);
        $gone = $this->linden($this->ann);
        $gone->delete();
        $bob = self::user('Bob');
        $his = $this->linden($bob);
        PlanMember::put($his->id, $this->ann, Access::Editor);
        $home = $this->signIn('Home browser');
        $node = Demos::lindenHollow()->nodes()[0]->id;
        $this->as($home)->edit($his, 1, self::rename($node, 'Hers'))->assertOk();

        $this->ask($home, 'DELETE', '/api/account', current: 'wrong')->assertJsonValidationErrorFor('current');
        $answer = $this->ask($home, 'DELETE', '/api/account', current: 'a long password')->assertOk();
        self::assertNotSame('', (string) $answer->getCookie('XSRF-TOKEN', true)?->getValue(), 'whoever is left can sign in as somebody else');
        $this->ask($home, 'GET', '/api/plans')->assertUnauthorized();
        $this->as(null)->postJson('/api/session', self::ANN)->assertUnprocessable();
        self::assertSame([$his->id], PlanRecord::withTrashed()->pluck('id')->all());
        self::assertSame(0, DB::table('nodes')->whereIn('plan_id', [$mine->id, $gone->id])->count());
        $this->actingAs($bob)->getJson("/api/plans/{$his->id}/history")->assertJsonPath('edits.0.by', 'someone');
    }

    public function test_a_session_is_written_when_there_is_something_to_write(): void
    {
        // On a slow machine the clock went on between one request and the next.
        $this->freezeSecond();
        $home = $this->signIn('Home browser');
        $seen = fn (): int => (int) DB::table('sessions')->where('id', $home)->value('last_activity');
        $first = $seen();
        $this->travel(30)->seconds();
        $this->ask($home, 'GET', '/api/plans')->assertOk();
        self::assertSame($first, $seen());
        $this->travel(60)->seconds();
        $this->ask($home, 'GET', '/api/plans')->assertOk();
        self::assertSame($first + 90, $seen());
        Carbon::setTestNow();
    }

    public function test_sessions_that_cannot_be_read_end_nobodys(): void
    {
        $home = $this->signIn('Home browser');
        Session::extend('database', static fn (): SparingSessionHandler => new SparingSessionHandler(DB::connection(), 'sessions_that_crashed', 120));
        $this->ask($home, 'GET', '/api/session')->assertStatus(503)->assertHeader('Retry-After');
    }
}
