<?php

declare(strict_types=1);

namespace App\Accounts;

/**
 * Passwords that are tried first: those of ten characters and more in two open lists of what leaks hold most often (from npm:
 * zxcvbn 4.4.2, and language-common 4.1.3 of zxcvbn-ts; MIT), in small letters. The file beside this holds the first twelve
 * hex digits of each one's SHA-256, sorted.
 */
final class CommonPasswords
{
    /** Fewer different characters than this are a pattern, however long. */
    private const DIFFERENT = 5;

    private const DIGITS = 12;

    public static function include(string $password): bool
    {
        $small = mb_strtolower($password);
        if (count(array_unique(mb_str_split($small))) < self::DIFFERENT) {
            return true;
        }
        $sum = substr(hash('sha256', $small), 0, self::DIGITS);

        return str_contains("\n".(string) file_get_contents(__DIR__.'/common-passwords.txt'), "\n{$sum}\n");
    }
}
