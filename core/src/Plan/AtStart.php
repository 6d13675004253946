<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What a node's program puts an output to when it starts: after a reset, and after a power cut. */
enum AtStart: string
{
    case Off = 'off';

    case On = 'on';

    /** As it last stood: kept in memory that outlives the power. */
    case Last = 'last';

    public function words(): string
    {
        return match ($this) {
            self::Off => 'off',
            self::On => 'on',
            self::Last => 'as it last stood',
        };
    }
}
