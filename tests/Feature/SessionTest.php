<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

final class SessionTest extends FeatureTestCase
{
    private const ANN = ['name' => 'Ann', 'email' => 'ann@linden-hollow.example', 'password' => 'a long password'];

    public function test_registering_signs_in_and_signing_out_signs_out(): void
    {
        $this->getJson('/api/session')->assertExactJson(['user' => null]);
        $this->postJson('/api/registration', self::ANN)->assertCreated()->assertJsonPath('user.name', 'Ann');
        $this->getJson('/api/session')->assertJsonPath('user.email', 'ann@linden-hollow.example');
        $this->deleteJson('/api/session')->assertExactJson(['user' => null]);
        $this->getJson('/api/plans')->assertUnauthorized();
        $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => 'a long password'])->assertOk();
        $this->getJson('/api/plans')->assertOk();
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unfit(): iterable
    {
        yield 'no name' => [['name' => ''], 'name'];
        yield 'name no text' => [['name' => ['x']], 'name'];
        yield 'no address' => [['email' => 'nonsense'], 'email'];
        yield 'short password' => [['password' => 'short'], 'password'];
        yield 'password no text' => [['password' => ['a', 'b']], 'password'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('unfit')]
    public function test_a_bad_registration_is_refused_at_its_field(array $change, string $field): void
    {
        $this->postJson('/api/registration', [...self::ANN, ...$change])->assertUnprocessable()->assertJsonValidationErrorFor($field);
        self::assertSame(0, User::query()->count());
    }

    public function test_an_address_that_two_ask_for_at_once_is_given_once(): void
    {
        // Between the question whether it is free and the account, somebody else takes it.
        User::creating(static function (): void {
            DB::table('users')->insertOrIgnore(['name' => 'Quicker', 'email' => self::ANN['email'], 'password' => 'x']);
        });
        $this->postJson('/api/registration', self::ANN)->assertUnprocessable()->assertJsonValidationErrorFor('email');
        User::flushEventListeners();
    }

    public function test_what_is_larger_than_any_address_and_password_is_not_even_read(): void
    {
        $this->postJson('/api/session', ['email' => str_repeat('a', 5_000), 'password' => 'x'])->assertStatus(413);
        $this->call('POST', '/api/session', content: str_repeat('[', 3_000), server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'])->assertUnprocessable();
    }

    public function test_an_accent_makes_another_address_and_a_capital_does_not(): void
    {
        self::user('Bob');
        $this->postJson('/api/session', ['email' => 'böb@linden-hollow.example', 'password' => 'a long password'])->assertUnprocessable();
        $this->postJson('/api/registration', ['name' => 'Böb', 'email' => 'Böb@linden-hollow.example', 'password' => 'another long one'])->assertCreated();
        $this->deleteJson('/api/session')->assertOk();
        $this->postJson('/api/session', ['email' => 'BOB@Linden-Hollow.example', 'password' => 'a long password'])->assertOk()->assertJsonPath('user.name', 'Bob');
        $this->deleteJson('/api/session')->assertOk();
        $this->postJson('/api/registration', ['name' => 'Bob', 'email' => 'BOB@linden-hollow.example', 'password' => 'another long one'])->assertJsonValidationErrorFor('email');
    }

    public function test_an_address_is_taken_once(): void
    {
        self::user();
        $this->postJson('/api/registration', self::ANN)->assertJsonValidationErrorFor('email');
    }

    public function test_a_wrong_password_does_not_sign_in_and_does_not_tell_which_was_wrong(): void
    {
        self::user();
        $wrong = $this
            ->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => 'wrong'])
            ->assertUnprocessable()
            ->json('errors');
        $unknown = $this
            ->postJson('/api/session', ['email' => 'bob@linden-hollow.example', 'password' => 'wrong'])
            ->assertUnprocessable()
            ->json('errors');
        self::assertSame($wrong, $unknown);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function malformed(): iterable
    {
        yield 'nothing' => [[]];
        yield 'an address that is a list' => [['email' => ['ann@linden-hollow.example'], 'password' => 'a long password']];
        yield 'a password that is an object' => [['email' => 'ann@linden-hollow.example', 'password' => ['a' => 'b']]];
        yield 'an address that is none' => [['email' => 'ann', 'password' => 'a long password']];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('malformed')]
    public function test_a_malformed_sign_in_is_refused_and_signs_nobody_in(array $body): void
    {
        self::user();
        $this->postJson('/api/session', $body)->assertUnprocessable();
        $this->getJson('/api/session')->assertExactJson(['user' => null]);
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => "guess {$try}"]);
        }
        $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => 'again'])->assertTooManyRequests();
    }

    public function test_no_foreign_script_or_frame_gets_in(): void
    {
        $policy = (string) $this->get('/api/session')->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringContainsString("frame-ancestors 'none'", $policy);
        self::assertStringNotContainsString("script-src 'self' 'unsafe", $policy);
    }
}
