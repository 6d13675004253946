<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** Where a module leaves a pin that nothing drives. */
enum Pull: string
{
    case Up = 'up';
    case Down = 'down';

    public function level(): Level
    {
        return $this === self::Up ? Level::High : Level::Low;
    }
}
