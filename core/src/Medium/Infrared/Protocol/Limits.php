<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\OutOfRange;

final readonly class Limits
{
    /** @throws OutOfRange */
    public static function check(Protocol $protocol, IrCommand $command): void
    {
        OutOfRange::unless('address', $command->address, 0, $protocol->highestAddress());
        OutOfRange::unless('command', $command->command, 0, $protocol->highestCommand());
    }
}
