<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

enum TopicKind: string
{
    /** What an output is to do. */
    case Command = 'command';

    /** What an output does. */
    case State = 'state';

    /** What a sensor says. */
    case Reading = 'reading';

    /** Whether a node is there. */
    case Presence = 'presence';
}
