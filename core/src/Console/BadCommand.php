<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use RuntimeException;

final class BadCommand extends RuntimeException
{
    public static function noFile(string $path): self
    {
        return new self("There is no file \"{$path}\" that can be read.");
    }

    public static function cannotWrite(string $path): self
    {
        return new self("\"{$path}\" cannot be written.");
    }

    /** @param  list<string>  $choices */
    public static function badOption(string $option, string $given, array $choices): self
    {
        return new self("--{$option} must be one of ".implode(', ', $choices).", not \"{$given}\".");
    }

    public static function missingOption(string $option): self
    {
        return new self("--{$option} is needed.");
    }

    public static function nobodyCalled(string $kind, string $name): self
    {
        return new self("The plan has no {$kind} called \"{$name}\".");
    }

    /** @param  list<string>  $names  of those that there are */
    public static function noNode(string $called, array $names): self
    {
        return new self("There is no node \"{$called}\". There are: ".implode(', ', $names).'.');
    }

    /** @param  list<string>  $ids */
    public static function severalNodes(string $called, array $ids): self
    {
        return new self("Several nodes are called \"{$called}\": ".implode(', ', $ids).'. Say which by its id.');
    }

    public static function unreadable(string $file): self
    {
        return new self("{$file} cannot be read.");
    }

    public static function notAPair(string $text): self
    {
        return new self("\"{$text}\" is not of the form key=value.");
    }
}
