<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Text\CNames;

/** A comment of a behaviour header. */
final readonly class CNote
{
    public static function of(string $text): string
    {
        return '/* '.CNames::comment($text).' */';
    }
}
