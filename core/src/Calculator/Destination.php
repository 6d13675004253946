<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use Rundfunk\Plan\ThingKind;

/** Where in a plan an answer belongs: settings of a medium's links or of their ends, or a new code of something bought. */
final readonly class Destination
{
    /** @param  array<string, string>  $settings  the setting, by the input or output that it is */
    /** @param  array<string, string>  $settings */
    private function __construct(public string $medium, public ThingKind $of, public array $settings)
    {
    }

    /** @param  array<string, string>  $settings  the setting, by the input or output that it is */
    public static function link(string $medium, array $settings): self
    {
        return new self($medium, ThingKind::Link, $settings);
    }

    /** @param  array<string, string>  $fields  the field of a key code, by the input or output that it is */
    public static function code(string $medium, array $fields): self
    {
        return new self($medium, ThingKind::KeyCode, $fields);
    }

    /** @param  array<string, string>  $settings  the setting, by the input or output that it is */
    public static function end(string $medium, array $settings): self
    {
        return new self($medium, ThingKind::Endpoint, $settings);
    }
}
