<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\IrCommand;

/** 32 bits by the length of the space: address, its complement, command, its complement, each least significant bit first. */
final readonly class Nec extends NecFamily
{
    public function key(): string
    {
        return 'nec';
    }

    public function name(): string
    {
        return 'NEC';
    }

    public function highestAddress(): int
    {
        return 0xFF;
    }

    public function highestCommand(): int
    {
        return 0xFF;
    }

    protected function bytes(IrCommand $command): array
    {
        return [$command->address, $command->address ^ 0xFF, $command->command, $command->command ^ 0xFF];
    }

    protected function read(array $bytes): ?array
    {
        [$address, $addressAgain, $command, $commandAgain] = $bytes;
        $sound = ($address ^ $addressAgain) === 0xFF && ($command ^ $commandAgain) === 0xFF;

        return $sound ? [$address, $command] : null;
    }
}
