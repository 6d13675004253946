<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** Names as they fit where a drawing has room for so many letters. */
final class Fitted
{
    /** @return non-empty-list<string> on at most two lines, parted between words */
    public static function onTwoLines(string $name, int $letters): array
    {
        if (mb_strlen($name) <= $letters) {
            return [$name];
        }
        $words = explode(' ', $name);
        $first = array_shift($words);
        while ($words !== [] && mb_strlen("{$first} {$words[0]}") <= $letters) {
            $first .= ' '.array_shift($words);
        }

        $rest = implode(' ', $words);

        return $rest === '' ? [self::onOne($first, $letters)] : [self::onOne($first, $letters), self::onOne($rest, $letters)];
    }

    public static function onOne(string $text, int $letters): string
    {
        return mb_strlen($text) <= $letters ? $text : mb_substr($text, 0, max(0, $letters - 1)).'…';
    }
}
