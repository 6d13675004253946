<?php

declare(strict_types=1);

namespace Rundfunk;

/** Ids for things the program proposes. They follow from what they are for, so that the same plan gets the same proposal. */
final readonly class DerivedId
{
    private const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /** @return string of the form of a ULID */
    public static function of(string ...$for): string
    {
        /** @var string|null $bytes */
        static $bytes = null;
        $bytes ??= implode('', array_map(chr(...), range(0, 255)));
        $hash = hash('sha256', implode("\0", $for), true);

        // Each byte's lowest five bits are a letter; the first of a ULID has but three.
        return strtr(chr(ord($hash[0]) & 7).substr($hash, 1, 25), $bytes, str_repeat(self::ALPHABET, 8));
    }
}
