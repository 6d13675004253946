<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** Who wins when several controls drive one output. */
enum Precedence: string
{
    /** The last message counts, wherever it comes from. */
    case LastWriter = 'last-writer';

    /** While a switch holds the output on, nothing else turns it off. */
    case HolderFirst = 'holder-first';

    /** After an off by hand, only an explicit on by hand turns it on again: a toggle, a timer or a reading does not. */
    case OffFirst = 'off-first';

    public function words(): string
    {
        return match ($this) {
            self::LastWriter => 'the last message counts',
            self::HolderFirst => 'a switch that holds it wins',
            self::OffFirst => 'off by hand wins until on by hand',
        };
    }
}
