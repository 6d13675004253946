<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** A slot that somebody works, in the packet. */
final readonly class Driven
{
    /**
     * @param  int  $at  from 0, the first slot of the universe
     * @param  int|null  $fineAt  its low byte
     * @param  int  $rest  the level at which it begins
     */
    public function __construct(public string $name, public int $at, public ?int $fineAt, public int $rest)
    {
    }
}
