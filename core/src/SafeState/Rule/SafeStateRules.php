<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Rule;

/** What can be wrong with what loads do when something else does not work. */
final readonly class SafeStateRules
{
    /** @return list<Rule> */
    public static function all(): array
    {
        return [
            new AsleepLetsGo,
            new ComesOnDangerously,
            new SafeStateUnsaid,
            new UnsafeAtStart,
            new UnsafeWhenBack,
            new UnsafeWhenDead,
            new UnsafeWhenHung,
            new UnsafeWhenUnheard,
            new WeldStaysOn,
        ];
    }
}
