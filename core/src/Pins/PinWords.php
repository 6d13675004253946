<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

/** What a terminal asks of a pin, in words. */
final readonly class PinWords
{
    /** @param  string  $needs  such as "analogue" or "spi.sck" */
    public static function of(string $needs): string
    {
        return match ($needs) {
            'digital-in' => 'digital input',
            'digital-out' => 'digital output',
            'analogue' => 'analogue input',
            'pwm' => 'PWM pin',
            'interrupt' => 'interrupt pin',
            default => strtoupper(str_replace('.', ' ', $needs)).' pin',
        };
    }
}
