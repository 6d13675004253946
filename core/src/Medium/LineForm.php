<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

/** How a medium is drawn, told apart without colour. */
enum LineForm: string
{
    case Solid = 'solid';
    case Dashed = 'dashed';
    case Dotted = 'dotted';
    case DashDot = 'dash-dot';
    case Double = 'double';
}
