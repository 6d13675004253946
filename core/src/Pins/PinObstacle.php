<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

enum PinObstacle
{
    /** The pin has no such function. */
    case Incapable;
    /** The module would hold a boot-strap pin at the wrong level. */
    case Strap;
    /** The pin must stay an output while its bus is in use. */
    case MustDrive;
    /** It is an expander's, and the terminal is timed, or what a bus selects by. */
    case Slow;
    /** Its timer makes another signal. */
    case TimerTaken;
}
