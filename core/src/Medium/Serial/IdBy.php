<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

/** How a box comes by its id. */
enum IdBy: string
{
    /** It stands in its program. */
    case Flashing = 'flashing';
    /** Small switches on it say it, each a bit. */
    case Switches = 'switches';
    /** It takes the next id that is called while somebody presses its button. */
    case Learning = 'learning';
}
