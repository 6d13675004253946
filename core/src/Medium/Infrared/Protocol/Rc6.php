<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\Holding;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\Signal;

/**
 * Mode 0: a lead of six and two units, a start bit, three mode bits, one of double width that changes at each press,
 * eight of address, eight of command, most significant first, in bi-phase of the other polarity than RC-5.
 */
final readonly class Rc6 implements Protocol
{
    private const UNIT_NS = 444_444;

    private const LEAD = 8;

    private const UNITS = self::LEAD + 2 + 6 + 4 + 32;

    public function key(): string
    {
        return 'rc6';
    }

    public function name(): string
    {
        return 'RC-6, mode 0';
    }

    public function carrierHz(): int
    {
        return 36_000;
    }

    public function highestAddress(): int
    {
        return 0xFF;
    }

    public function highestCommand(): int
    {
        return 0xFF;
    }

    public function encode(IrCommand $command): Signal
    {
        Limits::check($this, $command);
        $toggle = $command->toggle ?? false;
        $levels = [...array_fill(0, 6, true), false, false, ...self::pair(1), ...self::pair(0), ...self::pair(0), ...self::pair(0)];
        $levels = [...$levels, $toggle, $toggle, ! $toggle, ! $toggle];
        foreach ([...Bits::high($command->address, 8), ...Bits::high($command->command, 8)] as $bit) {
            $levels = [...$levels, ...self::pair($bit)];
        }

        return self::halves()->signal($levels, $this->carrierHz());
    }

    public function decode(Signal $signal): ?IrCommand
    {
        $said = self::halves()->decode($signal, self::read(...));

        return $said === null ? null : new IrCommand($this->key(), ...$said);
    }

    public function holding(): Holding
    {
        return Holding::ToggleBit;
    }

    public function periodNs(): int
    {
        return 106_700_000;
    }

    public function leastSends(): int
    {
        return 1;
    }

    /** @return array{bool, bool} a one is a mark and then a space */
    private static function pair(int $bit): array
    {
        return [$bit === 1, $bit === 0];
    }

    /**
     * @param  list<bool>  $levels
     * @return array{int, int, bool}|null
     */
    private static function read(array $levels): ?array
    {
        if (count($levels) === self::UNITS - 1) {
            $levels[] = false;
        }
        $lead = [true, true, true, true, true, true, false, false, ...self::pair(1), ...self::pair(0), ...self::pair(0), ...self::pair(0)];
        if (count($levels) !== self::UNITS || array_slice($levels, 0, count($lead)) !== $lead) {
            return null;
        }
        [$first, $second, $third, $fourth] = array_slice($levels, count($lead), 4);
        if ($first !== $second || $third !== $fourth || $first === $third) {
            return null;
        }
        $bits = [];
        foreach (array_chunk(array_slice($levels, count($lead) + 4), 2) as [$one, $other]) {
            if ($one === $other) {
                return null;
            }
            $bits[] = (int) $one;
        }

        return [Bits::fromHigh(array_slice($bits, 0, 8)), Bits::fromHigh(array_slice($bits, 8)), $first];
    }

    private static function halves(): HalfBits
    {
        // Three units in a row only where the wide bit meets its neighbours.
        return new HalfBits(self::UNIT_NS, [1, 2, 3, 6], [3]);
    }
}
