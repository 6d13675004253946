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
        $hash = hash('sha256', implode("\0", $for), true);
        $id = self::ALPHABET[ord($hash[0]) & 7];
        for ($letter = 1; $letter < 26; $letter++) {
            $id .= self::ALPHABET[ord($hash[$letter]) & 31];
        }

        return $id;
    }
}
