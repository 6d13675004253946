<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What part a load plays this season. */
enum LoadUse: string
{
    /** It is switched by its output. */
    case Switched = 'switched';

    /** It is to be on at all times: a clock, a freezer, the network's own box. */
    case AlwaysOn = 'always-on';

    /** Nothing hangs there yet: the place is kept. */
    case Spare = 'spare';

    /** It is not plugged in this season, because it trips, or is broken. */
    case Unplugged = 'unplugged';

    public function words(): string
    {
        return match ($this) {
            self::Switched => 'switched',
            self::AlwaysOn => 'always on',
            self::Spare => 'spare',
            self::Unplugged => 'unplugged this season',
        };
    }

    /** It takes current at some time. */
    public function draws(): bool
    {
        return $this === self::Switched || $this === self::AlwaysOn;
    }
}
