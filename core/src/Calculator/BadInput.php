<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use RuntimeException;

final class BadInput extends RuntimeException
{
    /** @param  string  $input  the name of what is wrong; empty when it is none of the inputs */
    private function __construct(public readonly string $input, string $message)
    {
        parent::__construct($message);
    }

    /** @param  list<string>  $known */
    public static function unknown(string $calculator, string $name, array $known): self
    {
        return new self('', "{$calculator} takes no \"{$name}\"; it takes ".implode(', ', $known).'.');
    }

    public static function missing(string $calculator, string $name): self
    {
        return new self($name, "{$calculator} needs {$name}.");
    }

    public static function notWhole(string $name, string $text): self
    {
        return new self($name, "{$name} must be a whole number, not \"{$text}\".");
    }

    public static function notANumber(string $name, string $text): self
    {
        return new self($name, "{$name} must be a number, not \"{$text}\".");
    }

    public static function notAFlag(string $name, string $text): self
    {
        return new self($name, "{$name} must be 0 or 1, not \"{$text}\".");
    }

    /** @param  list<string>  $choices */
    public static function notAChoice(string $name, string $text, array $choices): self
    {
        return new self($name, "{$name} must be one of ".implode(', ', $choices).", not \"{$text}\".");
    }

    public static function oneOf(string $name, string $other): self
    {
        return new self($name, "Either {$name} or {$other} must be given, and not both.");
    }

    /** @param  list<string>  $names */
    public static function noCalculator(string $name, array $names): self
    {
        return new self('', "There is no calculator \"{$name}\". There are: ".implode(', ', $names).'.');
    }
}
