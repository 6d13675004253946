<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Hashing\HashManager;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;
use PHPUnit\Framework\Attributes\DataProvider;

final class SessionTest extends FeatureTestCase
{
    private const ANN = ['name' => 'Ann', 'email' => 'ann@linden-hollow.example', 'password' => 'a long password'];

    private const CREDENTIALS = ['email' => 'ann@linden-hollow.example', 'password' => 'a long password'];

    public function test_who_registers_can_sign_in_and_out(): void
    {
        $this->getJson('/api/session')->assertExactJson(['user' => null, 'registration' => true]);
        $this->postJson('/api/registration', self::ANN)->assertAccepted();
        $this->postJson('/api/session', self::CREDENTIALS)->assertOk()->assertJsonPath('user.name', 'Ann');
        $this->getJson('/api/session')->assertJsonPath('user.email', 'ann@linden-hollow.example');
        $this->deleteJson('/api/session')->assertJsonPath('user', null);
        $this->getJson('/api/plans')->assertUnauthorized();
    }

    public function test_registering_an_address_that_is_taken_says_and_does_nothing_of_it(): void
    {
        $free = $this->postJson('/api/registration', self::ANN)->assertAccepted()->getContent();
        $taken = $this->postJson('/api/registration', [...self::ANN, 'name' => 'Eve', 'password' => 'another long one'])->assertAccepted()->getContent();
        self::assertSame($free, $taken);
        self::assertSame(['Ann'], User::query()->pluck('name')->all());
        $this->postJson('/api/session', [...self::CREDENTIALS, 'password' => 'another long one'])->assertUnprocessable();
        $this->postJson('/api/session', self::CREDENTIALS)->assertOk();
    }

    /** Time is told by what takes it: at four rounds or at twelve, making a hash and checking one cost the same. */
    public function test_as_many_hashes_are_made_for_who_exists_as_for_who_does_not(): void
    {
        self::user();
        $counting = new class(Hash::getFacadeRoot()) extends HashManager
        {
            public int $hashes = 0;

            public function __construct(private readonly HashManager $manager)
            {
            }

            /** @param  array<string, mixed>  $options */
            public function make($value, array $options = []): string
            {
                $this->hashes++;

                return $this->manager->make($value, $options);
            }

            /** @param  array<string, mixed>  $options */
            public function check($value, $hashedValue, array $options = []): bool
            {
                $this->hashes++;

                return $this->manager->check($value, $hashedValue, $options);
            }
        };
        Hash::swap($counting);
        foreach (['ann@linden-hollow.example', 'nobody@linden-hollow.example'] as $email) {
            foreach (['/api/session', '/api/registration'] as $path) {
                $counting->hashes = 0;
                $this->postJson($path, ['name' => 'Any', 'email' => $email, 'password' => 'wrong, but long']);
                self::assertSame(1, $counting->hashes, "{$path} {$email}");
            }
        }
    }

    public function test_registration_can_be_closed(): void
    {
        putenv('REGISTRATION=closed');
        try {
            $this->getJson('/api/session')->assertJsonPath('registration', false);
            $this->postJson('/api/registration', self::ANN)->assertForbidden();
            self::assertSame(0, User::query()->count());
            self::assertSame(0, Artisan::call('account:open', ['email' => 'Ann@linden-hollow.example', 'name' => 'Ann']));
            $this->postJson('/api/session', [...self::CREDENTIALS, 'password' => trim(Artisan::output())])->assertOk();
            self::assertSame(1, Artisan::call('account:open', ['email' => 'ann@linden-hollow.example', 'name' => 'Ann']));
        } finally {
            putenv('REGISTRATION');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unfit(): iterable
    {
        yield 'no name' => [['name' => ''], 'name'];
        yield 'name no text' => [['name' => ['x']], 'name'];
        yield 'no address' => [['email' => 'nonsense'], 'email'];
        yield 'short password' => [['password' => 'short'], 'password'];
        yield 'a password that is tried first' => [['password' => 'Qwertyuiop'], 'password'];
        yield 'a password of two letters' => [['password' => 'abababababababab'], 'password'];
        yield 'a password that is the address' => [['password' => 'ann@linden-hollow.example'], 'password'];
        yield 'a password longer than what is read of it' => [['password' => str_repeat('long ', 15)], 'password'];
        yield 'a password with a NUL' => [['password' => "a long\0 password"], 'password'];
        yield 'a name with a NUL' => [['name' => "Ann\0"], 'name'];
        yield 'an address with a NUL' => [['email' => "ann\0@linden-hollow.example"], 'email'];
        yield 'password no text' => [['password' => ['a', 'b']], 'password'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('unfit')]
    public function test_a_bad_registration_is_refused_at_its_field(array $change, string $field): void
    {
        $this->postJson('/api/registration', [...self::ANN, ...$change])->assertUnprocessable()->assertJsonValidationErrorFor($field);
        self::assertSame(0, User::query()->count());
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
        $this->postJson('/api/registration', ['name' => 'Böb', 'email' => 'Böb@linden-hollow.example', 'password' => 'another long one'])->assertAccepted();
        $this->postJson('/api/session', ['email' => 'böb@linden-hollow.example', 'password' => 'another long one'])->assertJsonPath('user.name', 'Böb');
        $this->deleteJson('/api/session')->assertOk();
        $this->postJson('/api/session', ['email' => 'BOB@Linden-Hollow.example', 'password' => 'a long password'])->assertOk()->assertJsonPath('user.name', 'Bob');
        $this->deleteJson('/api/session')->assertOk();
        $this->postJson('/api/registration', ['name' => 'Bob', 'email' => 'BOB@linden-hollow.example', 'password' => 'another long one'])->assertAccepted();
        self::assertSame(2, User::query()->count());
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
        $this->getJson('/api/session')->assertJsonPath('user', null);
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => "guess {$try}"]);
        }
        $this->postJson('/api/session', ['email' => 'ann@linden-hollow.example', 'password' => 'again'])->assertTooManyRequests();
    }

    public function test_a_page_of_another_host_changes_nothing(): void
    {
        foreach (['https://elsewhere.example', 'null', 'http://localhost.elsewhere.example', 'https://localhost'] as $origin) {
            $this->postJson('/api/registration', self::ANN, ['Origin' => $origin])->assertForbidden();
        }
        self::assertSame(0, User::query()->count());
        $this->getJson('/api/session', ['Origin' => 'https://elsewhere.example'])->assertOk();
        $this->postJson('/api/registration', self::ANN, ['Origin' => 'http://localhost'])->assertAccepted();
    }

    public function test_no_foreign_script_or_frame_gets_in(): void
    {
        $policy = (string) $this->get('/api/session')->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringContainsString("frame-ancestors 'none'", $policy);
        self::assertStringNotContainsString("script-src 'self' 'unsafe", $policy);
    }
}
