<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Plan\KeyCode;

/** Codes as people write them. */
final readonly class IrWords
{
    public static function of(IrCommand $command, Protocols $protocols): string
    {
        $format = PulseFormat::tryParse($command->format);
        if ($format !== null) {
            return sprintf('%d bits 0x%0*X %s first', $format->bits, (int) ceil($format->bits / 4), $command->command, $format->lowFirst ? 'LSB' : 'MSB');
        }
        $name = $protocols->find($command->protocol)?->name() ?? $command->protocol;

        return sprintf('%s 0x%02X 0x%02X', $name, $command->address, $command->command);
    }

    /** For a cell of a grid: the command alone, or what else is known. */
    public static function inShort(KeyCode $code): string
    {
        return match (true) {
            $code->command !== null => sprintf('%02X', $code->command),
            $code->number !== null => $code->number,
            $code->timings !== '' => 'raw',
            default => '?',
        };
    }

    public static function ofCode(KeyCode $code, Protocols $protocols): string
    {
        $command = IrCodes::command($code, $protocols);

        return match (true) {
            $command !== null => self::of($command, $protocols),
            $code->number !== null => trim(($code->format ?? '').' '.$code->number),
            $code->timings !== '' => 'raw timings',
            default => 'no code yet',
        };
    }
}
