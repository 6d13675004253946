<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\OutOfRange;
use Rundfunk\Signal\Signal;

/** One way of putting a command into marks and spaces. As the remote-control core of the Linux kernel has them. */
interface Protocol
{
    public function key(): string;

    public function name(): string;

    public function carrierHz(): int;

    public function highestAddress(): int;

    public function highestCommand(): int;

    /** @throws OutOfRange when address or command do not fit */
    public function encode(IrCommand $command): Signal;

    /** What a signal says, or null when it is not of this protocol. */
    public function decode(Signal $signal): ?IrCommand;

    public function holding(): Holding;

    /** @return int nanoseconds from one frame's start to the next while a key is held */
    public function periodNs(): int;

    /** How often a frame must come for appliances to obey. */
    public function leastSends(): int;
}
