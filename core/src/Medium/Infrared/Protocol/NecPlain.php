<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\IrCommand;

/** As NEC, with no complement at all: 32 bits, sixteen of address and sixteen of command, the byte written last sent first. */
final readonly class NecPlain extends NecFamily
{
    public function key(): string
    {
        return 'nec32';
    }

    public function name(): string
    {
        return 'NEC, 32 bits';
    }

    public function highestAddress(): int
    {
        return 0xFFFF;
    }

    public function highestCommand(): int
    {
        return 0xFFFF;
    }

    protected function bytes(IrCommand $command): array
    {
        return [$command->address & 0xFF, $command->address >> 8, $command->command & 0xFF, $command->command >> 8];
    }

    protected function read(array $bytes): ?array
    {
        [$addressLow, $addressHigh, $commandLow, $commandHigh] = $bytes;
        $plain = ($commandLow ^ $commandHigh) !== 0xFF;

        return $plain ? [$addressHigh << 8 | $addressLow, $commandHigh << 8 | $commandLow] : null;
    }
}
