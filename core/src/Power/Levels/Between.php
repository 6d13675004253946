<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/**
 * The resistors and capacitors of one wire, taken together. Source: Ohm's law, Millman's theorem.
 *
 * What pulls hangs at the module's terminal; the lower resistor of a divider hangs behind the upper one, at the end that
 * hears.
 */
final readonly class Between
{
    /** A wire, or a contact that is closed. */
    private const WIRE_OHM = 1e-3;

    /**
     * @param  float  $seriesOhm  in the wire: resistors and the upper ones of dividers; 0 for none
     * @param  float|null  $lowerOhm  behind those to ground; null for none
     * @param  float|null  $upOhm  from the terminal to the supply of the module; null for none
     * @param  float|null  $downOhm  from the terminal to ground; null for none
     * @param  float  $microfarads  from the wire to ground
     */
    private function __construct(public float $seriesOhm, public ?float $lowerOhm, public ?float $upOhm, public ?float $downOhm, public float $microfarads)
    {
    }

    /** @param  list<Part>  $parts  at one terminal; one that does not say its value is none */
    public static function of(array $parts): self
    {
        $series = [];
        $lower = [];
        $up = [];
        $down = [];
        $microfarads = [];
        foreach ($parts as $part) {
            match (true) {
                $part->kind === PartKind::Capacitor => $microfarads[] = $part->microfarads,
                $part->ohms === null => null,
                $part->kind === PartKind::SeriesResistor => $series[] = $part->ohms,
                $part->kind === PartKind::PullUp => $up[] = $part->ohms,
                $part->kind === PartKind::PullDown => $down[] = $part->ohms,
                $part->kind === PartKind::Divider && $part->lowerOhms !== null => [$series[] = $part->ohms, $lower[] = $part->lowerOhms],
                default => null,
            };
        }

        return new self(array_sum($series), self::besideOhm($lower), self::besideOhm($up), self::besideOhm($down), array_sum(array_filter($microfarads, is_float(...))));
    }

    /**
     * @param  list<float>  $ohms  side by side
     * @return float|null null where there are none
     */
    private static function besideOhm(array $ohms): ?float
    {
        return $ohms === [] ? null : 1 / array_sum(array_map(static fn (float $one): float => 1 / $one, $ohms));
    }

    /** @return float volts at the module's terminal while the pin of the board gives so many, and what pulls up does so to so many */
    public function atTerminalV(float $pinV, float $railV): float
    {
        return $this->seriesOhm <= 0.0 ? $pinV : self::node([[$pinV, $this->seriesOhm], [$railV, $this->upOhm], [0.0, $this->downOhm], [0.0, $this->lowerOhm]]);
    }

    /** @return float volts at the pin while the module gives so many through so many ohms */
    public function atPinV(float $givenV, float $sourceOhm, float $railV): float
    {
        $onward = $this->lowerOhm === null ? null : $this->seriesOhm + $this->lowerOhm;
        $terminalV = $sourceOhm <= 0.0 ? $givenV : self::node([[$givenV, $sourceOhm], [$railV, $this->upOhm], [0.0, $this->downOhm], [0.0, $onward]]);

        return $onward === null ? $terminalV : $terminalV * $this->lowerOhm / $onward;
    }

    /** @return float volts at the pin while a contact to ground at the terminal is open, or closed; the board's own pull-up included */
    public function atPinOfContactV(bool $closed, float $logicV, ?float $pinUpOhm): float
    {
        $atTerminal = $closed ? [[0.0, self::WIRE_OHM]] : [[$logicV, $this->upOhm], [0.0, $this->downOhm]];
        $terminalOhm = self::besideOhm(array_values(array_filter(array_column($atTerminal, 1), is_float(...))));
        $way = $terminalOhm === null ? null : $this->seriesOhm + $terminalOhm;

        return self::node([[$logicV, $pinUpOhm], [self::node($atTerminal), $way], [0.0, $this->lowerOhm]]);
    }

    /**
     * Millman: the voltages weighed by their conductances.
     *
     * @param  list<array{float, float|null}>  $branches  volts behind ohms; null for a branch that is not there
     */
    private static function node(array $branches): float
    {
        $amperes = 0.0;
        $siemens = 0.0;
        foreach ($branches as [$volts, $ohms]) {
            if ($ohms !== null) {
                $amperes += $volts / max($ohms, self::WIRE_OHM);
                $siemens += 1 / max($ohms, self::WIRE_OHM);
            }
        }

        return $siemens > 0.0 ? $amperes / $siemens : 0.0;
    }
}
