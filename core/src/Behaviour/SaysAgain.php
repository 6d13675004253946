<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A medium over which what is held is said again and again by itself, so that its silence shows without anybody's doing. */
interface SaysAgain
{
    /** @return int milliseconds from one to the next, at most */
    public function everyMs(): int;
}
