<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What an output's thing must be whenever the network does not work. */
enum SafeState: string
{
    /** It must be off, or stand still. */
    case Off = 'off';

    /** It must be on: a fan that cools, a pump that drains, a light over stairs. */
    case On = 'on';

    /** Either is well. */
    case Any = 'any';

    public function words(): string
    {
        return match ($this) {
            self::Off => 'must be off',
            self::On => 'must be on',
            self::Any => 'any',
        };
    }
}
