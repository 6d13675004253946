<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Check\Look;

/** The command words of a plan, worked out once a look: each text that wants another is held against them all. */
final readonly class TakenWords
{
    /** @param  list<string>  $words */
    private function __construct(public array $words)
    {
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self(CommandWords::taken($look->plan, null)));
    }
}
