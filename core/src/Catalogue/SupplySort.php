<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** What kind of supply a class is: where its current comes from, and what that does to the voltage. */
enum SupplySort: string
{
    /** A pin of a board that others may be fed from. */
    case BoardPin = 'board-pin';

    /** It gives by itself: a plug, a port, a bench. */
    case Source = 'source';

    /** Cells: the voltage falls as they empty. */
    case Battery = 'battery';

    /** The surplus voltage becomes heat: the current that goes in comes out. */
    case Linear = 'linear';

    /** It switches: what goes in is less current at more volts, or more at fewer. */
    case Buck = 'buck';

    /** A cable from another supply: its voltage, less what the cable loses. */
    case Line = 'line';

    /** It lives on what another supply gives. */
    public function isFed(): bool
    {
        return $this === self::Linear || $this === self::Buck || $this === self::Line;
    }
}
