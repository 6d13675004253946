<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum OutputKind: string
{
    case Relay = 'relay';
    case Lamp = 'lamp';
}
