<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\OutOfRange;

/** What an ohmmeter says between the two wires of a bus without power: all resistors at once. Source: ISO 11898-2 (120 Ω at each end, 50 to 65 Ω in all). */
final readonly class Termination
{
    public const MEANT_OHM = 120.0;

    /** Below that no transceiver makes a dominant bit of it. */
    public const LEAST_OHM = 45.0;

    private const MOST_OHM = 65.0;

    /**
     * @param  list<float>  $ohms  each of them; none for a bus without any
     *
     * @throws OutOfRange
     */
    public function __construct(private array $ohms)
    {
        OutOfRange::unless('ohms', count($ohms), 0, 100);
        foreach ($ohms as $ohm) {
            OutOfRange::unless('ohms', $ohm, 1, 1_000_000);
        }
    }

    /** @return float|null null where there is none */
    public function totalOhm(): ?float
    {
        return $this->ohms === [] ? null : 1 / array_sum(array_map(static fn (float $ohm): float => 1 / $ohm, $this->ohms));
    }

    public function isSound(): bool
    {
        $total = $this->totalOhm();

        return $total !== null && $total >= self::LEAST_OHM && $total <= self::MOST_OHM;
    }
}
