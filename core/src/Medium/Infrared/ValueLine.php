<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Plan\KeyCode;

/**
 * The rule behind the codes of one function: the command goes up by the same step with each value, on one address.
 * Toys and appliances that count are built so; those with a check sum in the command are not, and fit no line.
 */
final readonly class ValueLine
{
    /** How many codes must lie on the line before it is believed. */
    private const ENOUGH = 3;

    private function __construct(private int $atNought, private int $perValue)
    {
    }

    /**
     * @param  list<KeyCode>  $codes  the set codes of one function
     * @return self|null null when they are too few, or not on one line
     */
    public static function through(array $codes): ?self
    {
        $points = [];
        $families = [];
        foreach ($codes as $code) {
            if ($code->value === null || $code->command === null) {
                return null;
            }
            $points[] = [$code->value, $code->command];
            $families["{$code->protocol} {$code->address} {$code->format}"] = true;
        }
        if (count($points) < self::ENOUGH || count($families) > 1) {
            return null;
        }
        $lowest = min($points);
        $highest = max($points);
        $width = $highest[0] - $lowest[0];
        $rise = $highest[1] - $lowest[1];
        if ($width === 0 || $rise === 0 || $rise % $width !== 0) {
            return null;
        }
        $perValue = intdiv($rise, $width);
        $line = new self($lowest[1] - $perValue * $lowest[0], $perValue);
        foreach ($points as [$value, $command]) {
            if ($line->atNought + $perValue * $value !== $command) {
                return null;
            }
        }

        return $line;
    }

    /** @return int|null null where the line leaves what a command can be */
    public function command(int $value): ?int
    {
        $command = $this->atNought + $this->perValue * $value;

        return $command < 0 || $command > 0xFFFF_FFFF ? null : $command;
    }
}
