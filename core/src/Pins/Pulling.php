<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Pull;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Check\Wire;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\Mending;
use Rundfunk\Power\Levels\Wiring;

/**
 * What holds the pin of a terminal while nothing drives it: a resistor that somebody put there goes before what the module does by itself. A level shifter
 * holds both its sides high by resistors of its own, the lower resistor of a divider holds its pin low while the module is not powered yet.
 */
final readonly class Pulling
{
    /** As it is. */
    public static function now(Wiring $wiring, Wire $wire): Terminal
    {
        foreach ($wiring->partsAt($wire) as $part) {
            $pull = self::by($part->kind, $wire->terminal);
            if ($pull !== null) {
                return $wire->terminal->pulledBy($pull);
            }
        }

        return $wire->terminal;
    }

    /** As it is to be once its parts are right, for those come after the pins. */
    public static function soon(Wiring $wiring, Wire $wire): Terminal
    {
        if ($wiring->partsAt($wire) === []) {
            $between = $wiring->wantedBetween($wire);

            return $between === null ? $wire->terminal : $wire->terminal->pulledBy(self::by($between, $wire->terminal));
        }
        $operations = Mending::of($wiring, $wire)->operations;

        return self::now($operations === [] ? $wiring : $wiring->after(...$operations), $wire);
    }

    private static function by(PartKind $part, Terminal $terminal): ?Pull
    {
        // What the module itself does goes through what makes its levels fit.
        $through = $terminal->isDriven() ? null : $terminal->pulls;

        return match ($part) {
            PartKind::PullUp => Pull::Up,
            // The base of a transistor keeps a floating pin near ground.
            PartKind::PullDown, PartKind::Driver => Pull::Down,
            PartKind::Shifter => $through ?? Pull::Up,
            PartKind::Divider => $through ?? Pull::Down,
            default => null,
        };
    }
}
