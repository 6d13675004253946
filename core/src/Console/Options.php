<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Symfony\Component\Console\Input\InputInterface;

/** Options and arguments with their types. */
final readonly class Options
{
    public static function text(InputInterface $input, string $option): string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : throw BadCommand::missingOption($option);
    }

    /** @param  list<string>  $choices */
    public static function choice(InputInterface $input, string $option, array $choices): string
    {
        $value = self::text($input, $option);

        return in_array($value, $choices, true) ? $value : throw BadCommand::badOption($option, $value, $choices);
    }

    public static function argument(InputInterface $input, string $name): string
    {
        $value = $input->getArgument($name);

        return is_string($value) ? $value : '';
    }

    public static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
