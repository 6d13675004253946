<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\IrCommand;

/** As NEC, with sixteen bits of address in place of eight and their complement; the byte written first is sent first. */
final readonly class NecExtended extends NecFamily
{
    public function key(): string
    {
        return 'necx';
    }

    public function name(): string
    {
        return 'NEC, extended address';
    }

    public function highestAddress(): int
    {
        return 0xFFFF;
    }

    public function highestCommand(): int
    {
        return 0xFF;
    }

    protected function bytes(IrCommand $command): array
    {
        return [$command->address >> 8, $command->address & 0xFF, $command->command, $command->command ^ 0xFF];
    }

    protected function read(array $bytes): ?array
    {
        [$first, $second, $command, $commandAgain] = $bytes;
        $extended = ($first ^ $second) !== 0xFF && ($command ^ $commandAgain) === 0xFF;

        return $extended ? [$first << 8 | $second, $command] : null;
    }
}
