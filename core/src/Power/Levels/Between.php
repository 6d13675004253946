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

    /** @param  list<Part>  $parts  at one terminal */
    public static function of(array $parts): self
    {
        $series = 0.0;
        $farads = 0.0;
        $siemens = ['lower' => 0.0, 'up' => 0.0, 'down' => 0.0];
        foreach ($parts as $part) {
            $ohms = $part->ohms ?? 0.0;
            $series += match ($part->kind) {
                PartKind::SeriesResistor => $ohms,
                PartKind::Divider => $part->lowerOhms === null ? 0.0 : $ohms,
                default => 0.0,
            };
            $farads += $part->kind === PartKind::Capacitor ? $part->microfarads ?? 0.0 : 0.0;
            $siemens['lower'] += $part->kind === PartKind::Divider && $part->lowerOhms !== null && $ohms > 0.0 ? 1 / $part->lowerOhms : 0.0;
            $siemens['up'] += $part->kind === PartKind::PullUp && $ohms > 0.0 ? 1 / $ohms : 0.0;
            $siemens['down'] += $part->kind === PartKind::PullDown && $ohms > 0.0 ? 1 / $ohms : 0.0;
        }
        $ohm = static fn (float $siemens): ?float => $siemens > 0.0 ? 1 / $siemens : null;

        return new self($series, $ohm($siemens['lower']), $ohm($siemens['up']), $ohm($siemens['down']), $farads);
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
        $terminalOhm = match (true) {
            $closed => 0.0,
            $this->upOhm === null && $this->downOhm === null => null,
            default => 1 / (($this->upOhm === null ? 0.0 : 1 / $this->upOhm) + ($this->downOhm === null ? 0.0 : 1 / $this->downOhm)),
        };
        $terminalV = $closed || $terminalOhm === null || $this->upOhm === null ? 0.0 : $logicV * $terminalOhm / $this->upOhm;
        $way = $terminalOhm === null ? null : $this->seriesOhm + $terminalOhm;

        return $way === 0.0 ? $terminalV : self::node([[$logicV, $pinUpOhm], [$terminalV, $way], [0.0, $this->lowerOhm]]);
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
                $amperes += $volts / max($ohms, 1e-3);
                $siemens += 1 / max($ohms, 1e-3);
            }
        }

        return $siemens > 0.0 ? $amperes / $siemens : 0.0;
    }
}
