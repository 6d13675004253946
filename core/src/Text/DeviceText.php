<?php

declare(strict_types=1);

namespace Rundfunk\Text;

/** Text in a command to a modem. Source: ITU-T V.250, 5.4.2.2, string constants; from memory. */
final class DeviceText
{
    /**
     * In quotes. What could end them, begin another command or be taken for a sign of editing is written as a backslash and
     * two hexadecimal digits a byte.
     */
    public static function quoted(string $text): string
    {
        return '"'.preg_replace_callback('/[^\x20-\x7E]|["\\\\]/', static fn (array $match): string => sprintf('\\%02X', ord($match[0])), $text).'"';
    }
}
