<?php

declare(strict_types=1);

namespace Rundfunk\Text;

/** Text in files that are read line by line, by people and by programs. */
final class OneLine
{
    /** Without whatever begins a line or is not seen: controls, line and paragraph separators, marks that turn the direction of reading. */
    public static function of(string $text): string
    {
        $spaced = preg_replace('/[\p{Cc}\p{Zl}\p{Zp}]+/u', ' ', mb_scrub($text));

        return (string) preg_replace('/\p{Cf}+/u', '', (string) $spaced);
    }
}
