<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\Middleware\TrustProxies;

/** Behind a server that speaks TLS for it, and before one that only claims to be. */
final class ProxyTest extends FeatureTestCase
{
    private const FORWARDED = ['X-Forwarded-For' => '192.0.2.7', 'X-Forwarded-Proto' => 'https', 'X-Forwarded-Host' => 'plans.linden-hollow.example'];

    private const GUESS = ['email' => 'ann@linden-hollow.example', 'password' => 'a guess of many'];

    protected function tearDown(): void
    {
        TrustProxies::flushState();
        parent::tearDown();
    }

    private function trust(): void
    {
        TrustProxies::at('127.0.0.1');
        config(['app.url' => 'https://Plans.Linden-Hollow.example', 'session.secure' => true]);
    }

    public function test_the_page_brings_its_parts_from_where_it_came_itself(): void
    {
        $this->trust();
        $page = $this->get('/', self::FORWARDED)->assertOk();
        $page->assertHeader('Strict-Transport-Security');
        self::assertMatchesRegularExpression('#"/build/assets/main-[^"]+\.js"#', (string) $page->getContent());
        self::assertDoesNotMatchRegularExpression('#https?://#', (string) $page->getContent());
        foreach ($page->headers->getCookies() as $cookie) {
            self::assertTrue($cookie->isSecure(), $cookie->getName());
        }
    }

    public function test_its_own_pages_may_change_what_is_here_and_no_others(): void
    {
        $this->trust();
        $this->postJson('/api/session', self::GUESS, [...self::FORWARDED, 'Origin' => 'https://plans.linden-hollow.example'])->assertUnprocessable();
        $this->postJson('/api/session', self::GUESS, [...self::FORWARDED, 'Origin' => 'http://plans.linden-hollow.example'])->assertForbidden();
    }

    public function test_it_answers_to_its_own_name_alone(): void
    {
        $this->get('http://rebound.example/api/session')->assertStatus(421);
        $this->get('http://127.0.0.1:8000/api/session')->assertOk();
        $this->get('/api/session', self::FORWARDED)->assertOk()->assertHeaderMissing('Strict-Transport-Security');
        $this->trust();
        $this->get('/api/session', [...self::FORWARDED, 'X-Forwarded-Host' => 'rebound.example'])->assertStatus(421);
        $this->get('http://127.0.0.1:8000/api/session')->assertStatus(421);
    }

    public function test_forged_addresses_neither_spare_a_guesser_nor_lock_anybody_out(): void
    {
        self::user();
        for ($try = 0; $try < 6; $try++) {
            $this->postJson('/api/session', self::GUESS, ['X-Forwarded-For' => "192.0.2.{$try}"])->assertUnprocessable();
        }
        $this->postJson('/api/session', self::GUESS, ['X-Forwarded-For' => '192.0.2.99'])->assertTooManyRequests();
    }

    public function test_whoever_guesses_at_an_account_does_not_lock_out_its_owner(): void
    {
        self::user();
        $this->trust();
        for ($try = 0; $try < 40; $try++) {
            // What he claims stands before what the proxy saw.
            $this->postJson('/api/session', self::GUESS, [...self::FORWARDED, 'X-Forwarded-For' => "192.0.2.7, 198.51.100.{$try}, 203.0.113.5"]);
        }
        $this->postJson('/api/session', self::GUESS, [...self::FORWARDED, 'X-Forwarded-For' => '203.0.113.5'])->assertTooManyRequests();
        $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => 'a long password'], self::FORWARDED)->assertOk();
    }
}
