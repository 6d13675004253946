<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What a sensor that cannot be read counts as. */
enum OnFailure: string
{
    /** As it stood. */
    case Keep = 'keep';

    /** Not beyond its threshold. */
    case Off = 'off';

    /** Beyond it. */
    case On = 'on';
}
