<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

enum ModuleGroup: string
{
    case Radio = 'radio';
    case Infrared = 'infrared';
    case Modem = 'modem';
    case Network = 'network';
    case Sensor = 'sensor';
    case Output = 'output';
    case Control = 'control';
}
