<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** Which contact of a relay a load hangs on. */
enum ContactForm: string
{
    /** Closed while the coil has current. */
    case NormallyOpen = 'normally-open';

    /** Closed while it has none. */
    case NormallyClosed = 'normally-closed';

    public function words(): string
    {
        return match ($this) {
            self::NormallyOpen => 'normally open',
            self::NormallyClosed => 'normally closed',
        };
    }

    public function other(): self
    {
        return $this === self::NormallyOpen ? self::NormallyClosed : self::NormallyOpen;
    }
}
