<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum NodeKind: string
{
    /** A board that stays where it is and drives or senses something. */
    case Controller = 'controller';
    /** A board that is carried about, on a battery. */
    case Handset = 'handset';
    /** A board or computer that passes messages between links. */
    case Gateway = 'gateway';
}
