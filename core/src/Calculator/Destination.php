<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** Where in a plan an answer belongs: settings of the ends of a medium's links. */
final readonly class Destination
{
    /** @param  array<string, string>  $settings  the setting, by the input or output that it is */
    public function __construct(public string $medium, public array $settings)
    {
    }
}
