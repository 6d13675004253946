<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\Signal;
use Rundfunk\Check\Wire;

/**
 * How slowly a wire goes from one level to the other through what stands in it, and how slowly it may. Source: τ = R·C; the
 * times are shares of each signal's shortest pulse, the capacities and the most ohms common practice.
 */
final readonly class Edge
{
    /** An input and a hand's breadth or two of wire. */
    private const STRAY_F = 50e-12;

    /** The gate of a power transistor. */
    private const GATE_F = 1.5e-9;

    /** The driver of a pin. */
    private const PIN_OHM = 30.0;

    /** The pull-up inside a pin. */
    public const INSIDE_OHM = 35_000.0;

    /** Behind more a microampere that leaks is a level, and every wire beside it is heard. */
    private const MOST_OHM = 100_000.0;

    /** A converter takes its sample by a small capacitor that must be full in time. Data sheets of 8-bit controllers, from memory. */
    private const MOST_ANALOGUE_OHM = 10_000.0;

    private function __construct(public float $ohms, public float $seconds, public float $mostOhm, public float $mostSeconds)
    {
    }

    public static function of(Wire $wire, Between $between, float $highOhm, ?InputKind $input): self
    {
        $terminal = $wire->terminal;
        $isGate = $terminal->isDriven() && $input === InputKind::Gate;
        $ohms = self::ohms($wire, $between, $highOhm);
        $farads = $between->microfarads * 1e-6 + ($isGate ? self::GATE_F : self::STRAY_F);

        return new self($ohms, max($ohms, self::PIN_OHM) * $farads, $terminal->needs === 'analogue' ? self::MOST_ANALOGUE_OHM : self::MOST_OHM, self::mostSeconds($wire));
    }

    /** @return float how many times too slow it is, or too weakly held; 1 and less is well */
    public function times(): float
    {
        return max($this->seconds / $this->mostSeconds, $this->ohms / $this->mostOhm);
    }

    public function isTooSlow(): bool
    {
        return $this->times() > 1.0 + 1e-9;
    }

    private static function ohms(Wire $wire, Between $between, float $highOhm): float
    {
        $insideOhm = $wire->terminal->contact && $wire->pin?->hasPullUp === true ? $wire->pin->pullUpOhm ?? self::INSIDE_OHM : null;
        $held = $wire->terminal->contact || ($wire->terminal->pullUpOhm !== null && ! $wire->terminal->isDriven());
        $source = match (true) {
            // Who holds a wire that is let go: the resistor in the pin, or the one at the terminal.
            $held && $insideOhm !== null => $insideOhm,
            $held => ($between->upOhm ?? 0.0) + $between->seriesOhm,
            default => ($wire->terminal->isDriven() ? 0.0 : $highOhm) + $between->seriesOhm,
        };

        // Pressed, a contact has what stands in the wire alone.
        $source = max($source, $wire->terminal->contact ? $between->seriesOhm : 0.0);

        return $between->lowerOhm === null || $held ? $source : $source * $between->lowerOhm / ($source + $between->lowerOhm);
    }

    private static function mostSeconds(Wire $wire): float
    {
        $terminal = $wire->terminal;

        return match (true) {
            // Half a clock of 8 MHz is 62 ns.
            str_starts_with($terminal->needs, 'spi.') => 20e-9,
            // UM10204: 300 ns from high to low.
            str_starts_with($terminal->needs, 'i2c.') => 130e-9,
            // A bit of 1 Mbit/s.
            str_starts_with($terminal->needs, 'can.') => 50e-9,
            // A bit of 115,200 a second is 8.7 µs.
            str_starts_with($terminal->needs, 'uart.') => 1e-6,
            $terminal->signal === Signal::Pixels => 100e-9,
            $terminal->signal === Signal::Carrier => 3e-6,
            $terminal->signal === Signal::Servo => 5e-6,
            $terminal->signal === Signal::Pwm => 10e-6,
            $terminal->signal === Signal::Marks => 35e-6,
            $terminal->signal === Signal::Tone => 50e-6,
            // Slots of a wire that sensors answer on, the shortest a few microseconds.
            $terminal->pullUpOhm !== null => 1e-6,
            // A key that is debounced for a twentieth of a second.
            $terminal->contact => 50e-3,
            // A voltage that hardly changes, and is made smoother on purpose.
            $terminal->needs === 'analogue' => 0.5,
            default => 100e-6,
        };
    }
}
