<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\Holding;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\BitTiming;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\Tolerance;

/** 9 ms and 4.5 ms of lead, 32 bits of 562.5 µs with a space of one or three such, a stop mark; a held key sends a short frame every 108 ms. */
abstract readonly class NecFamily implements Protocol
{
    private const UNIT_NS = 562_500;

    public function carrierHz(): int
    {
        return 38_000;
    }

    public function encode(IrCommand $command): Signal
    {
        Limits::check($this, $command);
        $bits = array_merge(...array_map(static fn (int $byte): array => Bits::low($byte, 8), $this->bytes($command)));

        return self::timing()->signal($bits, $this->carrierHz());
    }

    public function decode(Signal $signal): ?IrCommand
    {
        $bits = self::timing()->bits($signal, 32);
        if ($bits === null) {
            return null;
        }
        $read = $this->read(array_map(Bits::fromLow(...), array_chunk($bits, 8)));

        return $read === null ? null : new IrCommand($this->key(), $read[0], $read[1]);
    }

    /** The short frame that says that a key is still held. */
    public static function isRepeat(Signal $signal): bool
    {
        if (count($signal->lengthsNs) !== 3) {
            return false;
        }
        [$mark, $space, $stop] = $signal->withoutExcess(Tolerance::excessNs([$signal->lengthsNs[2]], self::UNIT_NS))->lengthsNs;

        return Tolerance::meets($mark, 16 * self::UNIT_NS) && Tolerance::meets($space, 4 * self::UNIT_NS) && Tolerance::meets($stop, self::UNIT_NS);
    }

    public function holding(): Holding
    {
        return Holding::RepeatFrame;
    }

    public function periodNs(): int
    {
        return 108_000_000;
    }

    public function leastSends(): int
    {
        return 1;
    }

    /** @return list<int> four, in the order in which they are sent */
    abstract protected function bytes(IrCommand $command): array;

    /**
     * @param  list<int>  $bytes  four
     * @return array{int, int}|null address and command
     */
    abstract protected function read(array $bytes): ?array;

    private static function timing(): BitTiming
    {
        $unit = self::UNIT_NS;

        return new BitTiming(16 * $unit, 8 * $unit, $unit, $unit, $unit, 3 * $unit, $unit);
    }
}
