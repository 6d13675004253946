<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** What may become a password: long, not one of those that are tried first, and not the account's own name or address. */
final readonly class FitPassword implements ValidationRule
{
    private const LEAST = 10;

    /** bcrypt reads no further: php.net, password_hash. */
    private const MOST_BYTES = 72;

    public function __construct(private string $name, private string $email)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        $small = mb_strtolower($password);
        $why = match (true) {
            str_contains($password, "\0") => 'A password holds characters that can be typed.',
            mb_strlen($password) < self::LEAST => 'A password has '.self::LEAST.' characters or more.',
            strlen($password) > self::MOST_BYTES => 'A password has at most '.self::MOST_BYTES.' bytes.',
            in_array($small, [mb_strtolower($this->name), $this->email, strstr($this->email, '@', true)], true) => 'A password is not your name or address.',
            CommonPasswords::include($password) => 'This is one of the passwords that are tried first. Choose another.',
            default => null,
        };
        if ($why !== null) {
            $fail($why);
        }
    }
}
