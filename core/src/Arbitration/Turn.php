<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

/** Whether a control is worked or let go: pressed or released, switched on or off, due or over. */
enum Turn
{
    case Worked;
    case LetGo;
}
