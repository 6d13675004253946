<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

enum ModuleGroup: string
{
    case Radio = 'radio';
    case Supply = 'supply';
    case Output = 'output';
    case Control = 'control';
}
