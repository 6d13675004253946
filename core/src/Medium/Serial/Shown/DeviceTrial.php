<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

/** A frame to try by hand, and what something that came means. */
final readonly class DeviceTrial
{
    /**
     * @param  string|null  $hex  the bytes of what is told or asked; null where there is no such function
     * @param  string|null  $text  the same to type, where it is words
     * @param  float|null  $lastsMs  on a line of 9600 baud, 8N1
     * @param  string|null  $heard  what that which came means, in words; null while nothing came
     */
    public function __construct(public ?string $hex, public ?string $text, public ?float $lastsMs, public ?string $heard)
    {
    }
}
