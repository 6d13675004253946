<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use LogicException;
use Rundfunk\OutOfRange;

/** The series of values in which resistors and capacitors are sold. Source: IEC 60063. */
enum ESeries: string
{
    /** ± 20 %: capacitors, mostly. */
    case E6 = 'E6';
    /** ± 10 %. */
    case E12 = 'E12';
    /** ± 5 %: what a drawer of resistors holds. */
    case E24 = 'E24';
    /** ± 2 %. */
    case E48 = 'E48';
    /** ± 1 %. */
    case E96 = 'E96';
    /** ± 0.5 %. */
    case E192 = 'E192';

    private const OF_24 = [10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91];

    /** A hair of tolerance: 39 must not become 43 because 3.9 · 10 is not quite 39. */
    private const HAIR = 1e-9;

    /** @return list<int> the values of a decade: of two digits up to E24, of three above */
    public function decade(): array
    {
        $count = (int) substr($this->value, 1);
        if ($count <= 24) {
            return array_values(array_filter(self::OF_24, static fn (int $at): bool => $at % (24 / $count) === 0, ARRAY_FILTER_USE_KEY));
        }
        $values = [];
        for ($at = 0; $at < $count; $at++) {
            // The standard has 920 where the rule gives 919.
            $exact = (int) round(100 * 10 ** ($at / $count));
            $values[] = $exact === 919 ? 920 : $exact;
        }

        return $values;
    }

    /**
     * The largest value that is not above.
     *
     * @throws OutOfRange
     */
    public function down(float $value): float
    {
        return $this->around($value)[0];
    }

    /**
     * The smallest value that is not below.
     *
     * @throws OutOfRange
     */
    public function up(float $value): float
    {
        return $this->around($value)[1];
    }

    /**
     * The nearer of the two by their ratio to it: a resistor's tolerance is a share.
     *
     * @throws OutOfRange
     */
    public function nearest(float $value): float
    {
        [$down, $up] = $this->around($value);

        return $value / $down <= $up / $value ? $down : $up;
    }

    /** @return array{float, float} the values on both sides, twice the same where it is one */
    private function around(float $value): array
    {
        OutOfRange::unless('value', $value, 1e-15, 1e12);
        $exponent = (int) floor(log10($value));
        $down = null;
        foreach ([$exponent - 1, $exponent, $exponent + 1] as $tens) {
            foreach ($this->decade() as $figure) {
                $digits = $figure < 100 ? 1 : 2;
                // From its figures, so that 4.7 µ is written as such and not as what multiplying leaves.
                $one = (float) ($figure.'e'.($tens - $digits));
                if ($one >= $value * (1 - self::HAIR)) {
                    return $one <= $value * (1 + self::HAIR) ? [$one, $one] : [$down ?? $one, $one];
                }
                $down = $one;
            }
        }

        throw new LogicException('Three decades reach around a value.');
    }
}
