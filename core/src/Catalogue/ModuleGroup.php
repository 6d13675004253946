<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Output;

enum ModuleGroup: string
{
    case Radio = 'radio';
    case Supply = 'supply';
    case Output = 'output';
    case Control = 'control';
}
