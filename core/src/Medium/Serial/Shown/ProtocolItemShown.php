<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

use Rundfunk\Shape\ListOf;

/** A function or reading of a bought device, on the line. */
final readonly class ProtocolItemShown
{
    /**
     * @param  string  $can  what can be asked of it, in words
     * @param  list<string>  $serves  the kinds of output and of control that it can be of
     * @param  list<ProtocolSample>  $sent  by device 1: what it is told or asked; for what it says unasked, what it says
     * @param  list<ProtocolSample>  $answers  what it answers then; none where it does not
     */
    public function __construct(public string $name, public string $can, #[ListOf('string')] public array $serves, #[ListOf(ProtocolSample::class)] public array $sent, #[ListOf(ProtocolSample::class)] public array $answers)
    {
    }
}
