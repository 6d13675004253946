<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\Holding;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\BitTiming;
use Rundfunk\Signal\Signal;

/** 12, 15 or 20 bits by the length of the mark: seven of command, then 5, 8 or 13 of address, least significant first. */
final readonly class Sirc implements Protocol
{
    private const UNIT_NS = 600_000;

    private const COMMAND_BITS = 7;

    private function __construct(private int $bits)
    {
    }

    public static function ofBits(int $bits): self
    {
        return new self($bits);
    }

    public function key(): string
    {
        return 'sirc'.$this->bits;
    }

    public function name(): string
    {
        return "SIRC, {$this->bits} bits";
    }

    public function carrierHz(): int
    {
        return 40_000;
    }

    public function highestAddress(): int
    {
        return (1 << ($this->bits - self::COMMAND_BITS)) - 1;
    }

    public function highestCommand(): int
    {
        return 0x7F;
    }

    public function encode(IrCommand $command): Signal
    {
        Limits::check($this, $command);

        return self::timing()->signal([
            ...Bits::low($command->command, self::COMMAND_BITS),
            ...Bits::low($command->address, $this->bits - self::COMMAND_BITS),
        ], $this->carrierHz());
    }

    public function decode(Signal $signal): ?IrCommand
    {
        $bits = self::timing()->bits($signal, $this->bits);

        return $bits === null ? null : new IrCommand(
            $this->key(),
            Bits::fromLow(array_slice($bits, self::COMMAND_BITS)),
            Bits::fromLow(array_slice($bits, 0, self::COMMAND_BITS)),
        );
    }

    public function holding(): Holding
    {
        return Holding::SameFrame;
    }

    public function periodNs(): int
    {
        return 45_000_000;
    }

    public function leastSends(): int
    {
        return 3;
    }

    private static function timing(): BitTiming
    {
        $unit = self::UNIT_NS;

        return new BitTiming(4 * $unit, $unit, $unit, $unit, 2 * $unit, $unit);
    }
}
