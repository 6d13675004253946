<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Rundfunk\Medium\Infrared\Holding;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\Signal;

/**
 * Fourteen bits in bi-phase: two of start, of which the second is the inverse of the command's seventh bit, one that
 * changes at each press, five of address, six of command, most significant first.
 */
final readonly class Rc5 implements Protocol
{
    private const HALF_NS = 889_000;

    private const BITS = 14;

    public function key(): string
    {
        return 'rc5';
    }

    public function name(): string
    {
        return 'RC-5';
    }

    public function carrierHz(): int
    {
        return 36_000;
    }

    public function highestAddress(): int
    {
        return 0x1F;
    }

    public function highestCommand(): int
    {
        return 0x7F;
    }

    public function encode(IrCommand $command): Signal
    {
        Limits::check($this, $command);
        $bits = [
            1,
            1 - ($command->command >> 6),
            (int) ($command->toggle ?? false),
            ...Bits::high($command->address, 5),
            ...Bits::high($command->command & 0x3F, 6),
        ];
        // A one is a space and then a mark.
        $levels = array_merge(...array_map(static fn (int $bit): array => [$bit === 0, $bit === 1], $bits));

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
        return 113_800_000;
    }

    public function leastSends(): int
    {
        return 1;
    }

    /**
     * @param  list<bool>  $levels
     * @return array{int, int, bool}|null
     */
    private static function read(array $levels): ?array
    {
        // The first half of the first bit is a space that nobody sees, and so may be the last.
        array_unshift($levels, false);
        if (count($levels) === 2 * self::BITS - 1) {
            $levels[] = false;
        }
        if (count($levels) !== 2 * self::BITS) {
            return null;
        }
        $bits = [];
        foreach (array_chunk($levels, 2) as [$first, $second]) {
            if ($first === $second) {
                return null;
            }
            $bits[] = (int) $second;
        }

        return [Bits::fromHigh(array_slice($bits, 3, 5)), (1 - $bits[1]) << 6 | Bits::fromHigh(array_slice($bits, 8)), $bits[2] === 1];
    }

    private static function halves(): HalfBits
    {
        return new HalfBits(self::HALF_NS, [1, 2]);
    }
}
