<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Output;

/** What may be said to an output over the network, and what it says of itself: words for people, a pattern for programs. */
final readonly class Vocabulary
{
    private function __construct(public string $commands, public string $commandPattern, public string $states, public string $statePattern)
    {
    }

    public static function of(Output $output): self
    {
        if (! $output->kind->takesValues()) {
            return new self('ON, OFF, TOGGLE or PULSE milliseconds', '^(ON|OFF|TOGGLE|PULSE [0-9]+)$', 'ON or OFF', '^(ON|OFF)$');
        }
        $span = $output->span();
        $values = $span === null ? 'value' : "value from {$span->lowest} to {$span->highest}";

        return new self(
            "ON, OFF, TOGGLE, PULSE milliseconds, SET {$values} or STEP by", '^(ON|OFF|TOGGLE|PULSE [0-9]+|SET -?[0-9]+|STEP [+-]?[0-9]+)$',
            "ON, OFF or a {$values}", '^(ON|OFF|-?[0-9]+)$',
        );
    }
}
