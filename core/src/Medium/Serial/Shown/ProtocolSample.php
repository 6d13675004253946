<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

/** One frame of a bought device, as it goes over the line. */
final readonly class ProtocolSample
{
    /**
     * @param  string  $what  which figure it carries: "50 %", "on"; empty where it carries none
     * @param  string  $hex  its bytes: "55 03 01"
     * @param  string|null  $text  what to type by hand, where it is words
     */
    public function __construct(public string $what, public string $hex, public ?string $text)
    {
    }
}
