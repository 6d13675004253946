<?php

declare(strict_types=1);

namespace Rundfunk\Check;

enum Severity: string
{
    /** Someone or something can be hurt. */
    case Danger = 'danger';
    /** It will not work. */
    case Fault = 'fault';
    /** It will not always work. */
    case Warning = 'warning';
    /** It could be better. */
    case Advice = 'advice';

    /** The graver, the higher. */
    public function rank(): int
    {
        return match ($this) {
            self::Danger => 3,
            self::Fault => 2,
            self::Warning => 1,
            self::Advice => 0,
        };
    }
}
