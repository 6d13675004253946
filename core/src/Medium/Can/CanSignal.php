<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\BusSignal;

/** A signal as bits of a frame: where they are, what they come to, and how to put them there. */
final readonly class CanSignal
{
    /** What a board of eight bits counts with. */
    public const BITS_READ = 32;

    public string $name;

    public function __construct(public BusSignal $of)
    {
        $this->name = $of->name;
    }

    /** @return non-empty-list<int> the places of its bits in the frame, the highest first; beyond 63 where it does not fit */
    public function places(): array
    {
        $at = $this->of->highFirst ? $this->of->start : $this->of->start + $this->of->bits - 1;
        $places = [$at];
        for ($bit = 1; $bit < $this->of->bits; $bit++) {
            // With the high byte first the next lower bit is beside it, or the highest of the byte behind.
            $at = $this->of->highFirst && $at % 8 === 0 ? $at + 15 : $at - 1;
            $places[] = $at;
        }

        return $places;
    }

    public function fits(int $bytes): bool
    {
        return $this->bytes() <= $bytes;
    }

    /** @return int how many bytes of a frame it takes to read it */
    public function bytes(): int
    {
        return intdiv(max($this->places()), 8) + 1;
    }

    /** @return int what its bits are, its sign counted; of 64 unsigned bits what is beyond 63 wraps */
    public function raw(string $data): int
    {
        $raw = 0;
        foreach ($this->places() as $index => $place) {
            $bit = (ord($data[intdiv($place, 8)] ?? "\0") >> ($place % 8)) & 1;
            $raw = $index === 0 && $this->of->signed ? -$bit : ($raw << 1) | $bit;
        }

        return $raw;
    }

    /** @return string the data with it in its place */
    public function put(string $data, int $raw): string
    {
        foreach (array_reverse($this->places()) as $index => $place) {
            $byte = intdiv($place, 8);
            $mask = 1 << ($place % 8);
            $data[$byte] = chr((ord($data[$byte]) & ~$mask) | ((($raw >> $index) & 1) === 1 ? $mask : 0));
        }

        return $data;
    }

    /** @return int thousandths of its unit */
    public function thousandths(string $data): int
    {
        $raw = $this->raw($data);

        return $this->of->equals === null ? $this->scaling()->thousandths($raw) : ($raw === $this->of->equals ? 1_000 : 0);
    }

    /** @return int the raw figure for a whole number of its unit: the nearest that it bears, for what is beyond would wrap round */
    public function rawFor(int $figure): int
    {
        [$least, $most] = $this->rawRange();

        return max($least, min($most, $this->scaling()->raw($figure)));
    }

    /** @return array{int, int} of up to 32 bits */
    public function rawRange(): array
    {
        $bits = min(self::BITS_READ, $this->of->bits);

        return $this->of->signed ? [-(1 << ($bits - 1)), (1 << ($bits - 1)) - 1] : [0, (1 << $bits) - 1];
    }

    public function scaling(): Scaling
    {
        return Scaling::of($this->of->scale, $this->of->offset);
    }

    /** @return array{float, float} the least and the most that it can say */
    public function range(): array
    {
        if ($this->of->equals !== null) {
            return [0.0, 1.0];
        }
        $least = $this->of->signed ? -2.0 ** ($this->of->bits - 1) : 0.0;
        $most = 2.0 ** ($this->of->bits - ($this->of->signed ? 1 : 0)) - 1;
        $ends = [$least * $this->of->scale + $this->of->offset, $most * $this->of->scale + $this->of->offset];

        return [min($ends), max($ends)];
    }

    /** Whether it can be beyond that and not beyond it. */
    public function passes(float $threshold): bool
    {
        [$least, $most] = $this->range();

        return $threshold > $least && $threshold <= $most;
    }

    /** @return array<int, string> what its figures mean, by figure */
    public function valueNames(): array
    {
        $names = [];
        foreach (explode(',', $this->of->names) as $one) {
            if (preg_match('/^\s*(-?\d{1,18})\s*=\s*(.+?)\s*$/u', $one, $found) === 1) {
                $names[(int) $found[1]] = $found[2];
            }
        }

        return $names;
    }
}
