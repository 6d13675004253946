<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Keymap;

use RuntimeException;

final class KeymapRefused extends RuntimeException
{
    public static function tooLarge(): self
    {
        return new self('The keymap is larger than any remote has keys.');
    }

    public static function noProtocols(): self
    {
        return new self('There is no [[protocols]] table in it, with a protocol and scancodes.');
    }

    public static function because(string $what): self
    {
        return new self($what);
    }
}
