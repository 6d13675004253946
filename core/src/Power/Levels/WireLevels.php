<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Check\Wire;
use Rundfunk\Electrical\ESeries;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/**
 * The two ends of one wire, compared: what the one gives for high, what comes of it through the parts between, what the
 * other takes for high and stands. Sources of the figures: the catalogue's; comparison as in any logic family's data sheet
 * (V_OH ≥ V_IH, V_OH(max) ≤ the input's absolute maximum).
 */
final readonly class WireLevels
{
    /** Through a resistor in the wire or a divider the bus is too slow beyond this. Common practice. */
    private const FAST = ['spi.sck', 'spi.mosi', 'spi.miso'];

    /** Milliamperes, through the kilohm of a divider: {@see Misfits::OUTPUT_MA}. */
    private const MOST_MA = Misfits::OUTPUT_MA;

    /**
     * @param  bool  $driven  the board says something by it, and does not hear
     * @param  float|null  $givesV  the highest high that is given
     * @param  float|null  $leastGivesV  the lowest high
     * @param  float|null  $takesV  from here on the other end takes it for high
     * @param  float|null  $mostV  the most that the other end stands
     * @param  float|null  $givesLowV  the highest low
     * @param  float|null  $takesLowV  up to here the other end takes it for low
     * @param  list<Part>  $parts  at the terminal
     */
    private function __construct(
        public Wire $wire,
        public ModuleClass $class,
        public bool $driven,
        public ?float $givesV,
        public ?float $leastGivesV,
        public ?float $takesV,
        public ?float $mostV,
        public ?float $supplyV,
        public array $parts,
        public ?float $givesLowV = null,
        public ?float $takesLowV = null,
    ) {
    }

    /**
     * @param  float|null  $supplyV  of the module, nominally
     * @param  list<Part>  $parts  of the module
     * @return self|null null where no level is to be compared: a bare contact, a coil, a lamp
     */
    public static function of(Wire $wire, ModuleClass $class, ?float $supplyV, array $parts): ?self
    {
        $levels = $class->levels;
        if ($levels === null || $wire->terminal->contact) {
            return null;
        }
        $board = $wire->board;
        $parts = array_values(array_filter($parts, static fn (Part $part): bool => $part->terminal === $wire->terminal->name));
        if (! $wire->terminal->isDriven()) {
            return new self($wire, $class, false, $levels->outHighV($supplyV), $levels->outLeastHighV($supplyV), $wire->terminal->needs === 'analogue' ? null : $board->levels->highInV, $board->levels->mostInV, $supplyV, $parts, $levels->outMostLowV, $wire->terminal->needs === 'analogue' ? null : $board->levels->lowInV);
        }

        return new self(
            $wire, $class, true,
            $wire->terminal->open ? null : $board->logicV,
            $wire->terminal->open ? null : $board->levels->highOutV,
            $levels->inHighV($supplyV),
            $levels->inMostV,
            $supplyV,
            $parts,
            $board->levels->lowOutV,
            $levels->inLowV($supplyV),
        );
    }

    /** A level shifter or a transistor between makes the levels of either end. */
    public function isShifted(): bool
    {
        foreach ($this->parts as $part) {
            if ($part->kind === PartKind::Shifter || $part->kind === PartKind::Driver) {
                return true;
            }
        }

        return false;
    }

    /** @return Part|null the divider between; one in a line that goes both ways divides nothing */
    public function divider(): ?Part
    {
        foreach ($this->wire->terminal->goesBothWays() ? [] : $this->parts as $part) {
            if ($part->share() !== null) {
                return $part;
            }
        }

        return null;
    }

    /** @return float|null the highest high that arrives; null where it is made to fit, or nobody can tell */
    public function arrivesV(): ?float
    {
        return $this->givesV === null ? null : $this->behindParts($this->givesV, $this->highOhm());
    }

    /** @return float|null what is left of so many volts at the other end; null where a shifter or a transistor makes them anew */
    private function behindParts(float $volts, float $sourceOhm): ?float
    {
        if ($this->isShifted()) {
            return null;
        }
        // One in a line that goes both ways divides nothing.
        if ($this->parts === [] || $this->wire->terminal->goesBothWays()) {
            return $volts;
        }
        $between = Between::of($this->parts);
        $railV = $this->supplyV ?? $this->wire->board->logicV;

        return $this->driven ? $between->atTerminalV($volts, $railV) : $between->atPinV($volts, $sourceOhm, $railV);
    }

    private function highOhm(): float
    {
        return $this->driven ? 0.0 : $this->class->levels->outHighOhm ?? 0.0;
    }

    /** @return float|null the lowest high that arrives */
    public function leastArrivesV(): ?float
    {
        return $this->leastGivesV === null ? null : $this->behindParts($this->leastGivesV, $this->highOhm());
    }

    public function isTooHigh(): bool
    {
        $arrivesV = $this->arrivesV();

        return $arrivesV !== null && $this->mostV !== null && $arrivesV > $this->mostV + 1e-6;
    }

    public function isTooLow(): bool
    {
        $arrivesV = $this->leastArrivesV();

        return $arrivesV !== null && $this->takesV !== null && $arrivesV < $this->takesV - 1e-6;
    }

    /** @return float|null the highest low that arrives; null where it is made to fit, or nobody can tell */
    public function lowArrivesV(): ?float
    {
        return $this->givesLowV === null ? null : $this->behindParts($this->givesLowV, 0.0);
    }

    public function isLowTooHigh(): bool
    {
        $arrivesV = $this->lowArrivesV();

        return $arrivesV !== null && $this->takesLowV !== null && $arrivesV > $this->takesLowV + 1e-6;
    }

    /** Parts between are wanting, or wrong. */
    public function isWrong(): bool
    {
        return $this->wrongs() !== [];
    }

    /** It is wrong in a way in which it was not. */
    public function isWrongAnew(?self $before): bool
    {
        return array_diff($this->wrongs(), $before?->wrongs() ?? []) !== [];
    }

    /** @return list<string> each way in which it is, which is a finding of its own */
    private function wrongs(): array
    {
        return array_keys(array_filter(['too high' => $this->isTooHigh(), 'too low' => $this->isTooLow(), 'low too high' => $this->isLowTooHigh(), 'held on' => $this->holdsOn()]));
    }

    /** @return float|null volts that a high leaves across an opto input whose other side hangs on the module's supply; null where there is none */
    public function leftAcrossLedV(): ?float
    {
        $highV = $this->wire->board->levels->highOutV;

        return ! $this->driven || $this->class->levels?->ledDropV === null || $this->supplyV === null || $this->isShifted() ? null : max(0.0, $this->supplyV - $highV);
    }

    /** It is not let go by a high, at least without an indicator in series. */
    public function holdsOn(): bool
    {
        $left = $this->leftAcrossLedV();

        return $left !== null && $left > ($this->class->levels->ledBareV ?? INF) + 1e-6;
    }

    /**
     * A divider leaves enough of a high with so many ohms more in the wire.
     *
     * @param  array{float, float}  $divider  upper and lower, ohms
     */
    public function bears(array $divider, float $seriesOhm): bool
    {
        $share = $divider[1] / ($this->highOhm() + $seriesOhm + array_sum($divider));

        return $this->takesV === null || ($this->leastGivesV ?? $this->givesV ?? 0.0) * $share >= $this->takesV - 1e-6;
    }

    /**
     * The two resistors that bring the given high to the other end's own high, or as near below it as a drawer of E24 allows.
     *
     * @return array{float, float}|null upper and lower, ohms; null where none is right
     */
    public function dividerThatFits(): ?array
    {
        if ($this->wire->terminal->goesBothWays() || in_array($this->wire->terminal->needs, self::FAST, true) || $this->givesV === null || $this->mostV === null) {
            return null;
        }
        $wantsV = $this->driven ? $this->class->levels?->outHighV($this->supplyV) ?? 0.95 * $this->mostV : $this->wire->board->logicV;
        if ($wantsV <= 0.0 || $this->givesV <= $wantsV) {
            return null;
        }
        // What gives the signal has no more for it than that.
        $upperOhm = $this->driven || $this->givesV - $wantsV <= self::MOST_MA ? 1_000.0 : 10_000.0;
        $above = $upperOhm + $this->highOhm();
        $lowerOhm = ESeries::E24->down($above * $wantsV / ($this->givesV - $wantsV) + 1e-6);
        $share = $lowerOhm / ($above + $lowerOhm);
        $fits = $this->givesV * $share <= $this->mostV + 1e-6 && ($this->takesV === null || ($this->leastGivesV ?? $this->givesV) * $share >= $this->takesV - 1e-6);

        return $fits ? [$upperOhm, $lowerOhm] : null;
    }
}
