<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** What an output does when nobody on another node can tell it anything any more. */
enum LinkLoss: string
{
    /** Nobody on another node works it. */
    case Unaffected = 'unaffected';

    /** Whatever put it on ends by itself: a pulse, a time-out. */
    case GoesOff = 'goes-off';

    /** Unheard of, it comes on by itself. */
    case GoesOn = 'goes-on';

    /** It stays as it was last told. */
    case Held = 'held';
}
