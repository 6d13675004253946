<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** Whether what a signal works is worked. */
enum Draws: string
{
    case No = 'off';

    case Yes = 'on';

    /** Nobody can say, which counts as unsafe. */
    case Either = 'either';

    /** As it was last told: on or off. */
    case AsBefore = 'as before';

    public function mayBe(bool $on): bool
    {
        return $this === ($on ? self::Yes : self::No) || $this === self::Either || $this === self::AsBefore;
    }

    public function opposite(): self
    {
        return match ($this) {
            self::No => self::Yes,
            self::Yes => self::No,
            default => $this,
        };
    }
}
