<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\Signal;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Catalogue\Timer;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\PinUse;

/**
 * Which signal has which timer of a board. A servo and a tone take the one that the usual libraries take, on whatever pin; an
 * infrared carrier takes that of its pin; what is left makes PWM.
 */
final readonly class Timers
{
    /** @param  array<string, Signal>  $taken  by name of the timer: what has it for itself */
    private function __construct(private Board $board, private array $taken)
    {
    }

    /** @param  list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>  $wants  all that asks for a pin of the board */
    public static function of(Board $board, array $wants): self
    {
        $signals = array_map(static fn (array $want): ?Signal => $want['terminal']->signal, $wants);
        $taken = [];
        foreach ($board->timers as $timer) {
            if ($timer->serves !== null && in_array($timer->serves, $signals, true)) {
                $taken[$timer->name] = $timer->serves;
            }
        }
        $dimming = [];
        foreach ($wants as ['terminal' => $terminal, 'use' => $use]) {
            if ($terminal->signal === Signal::Pwm && $use !== null) {
                $dimming[] = $use->pin;
            }
        }
        foreach ($board->timers === [] ? [] : $wants as ['terminal' => $terminal, 'use' => $use]) {
            if ($terminal->signal === Signal::Carrier && ! $terminal->isBySoftware($use)) {
                $timer = self::forCarrier($board, $taken, $use, $dimming);
                $taken += $timer === null ? [] : [$timer->name => Signal::Carrier];
            }
        }

        return new self($board, $taken);
    }

    /**
     * The one that its pin hangs on, where that is free; else one that makes nothing yet, tones' last.
     *
     * @param  array<string, Signal>  $taken
     * @param  list<string>  $dimming  pins that make PWM now
     */
    private static function forCarrier(Board $board, array $taken, ?PinUse $use, array $dimming): ?Timer
    {
        $free = array_values(array_filter($board->timers, static fn (Timer $timer): bool => ! $timer->keepsTime && ($taken[$timer->name] ?? Signal::Carrier) === Signal::Carrier));
        foreach ($free as $timer) {
            if ($use !== null && in_array($use->pin, $timer->pins, true)) {
                return $timer;
            }
        }
        $cost = static fn (Timer $timer): int => (isset($taken[$timer->name]) ? 0 : 1) + ($timer->serves === null ? 0 : 2) + 4 * count(array_intersect($timer->pins, $dimming));
        $lowest = static fn (Timer $timer): int => min(array_map(static fn (string $pin): int => $board->pin($pin)->index ?? 0, $timer->pins));
        usort($free, static fn (Timer $a, Timer $b): int => [$cost($a), $lowest($a)] <=> [$cost($b), $lowest($b)]);

        return $free[0] ?? null;
    }

    /** Another timer of the board is to make the carrier: a pin of this one would cost one more. */
    public function isElsewhere(BoardPin $pin, Terminal $terminal): bool
    {
        $timer = $terminal->signal === Signal::Carrier ? $this->board->timerOf($pin) : null;

        return $timer !== null && ($this->taken[$timer->name] ?? null) !== Signal::Carrier;
    }

    /** What has the timer that a terminal would need on a pin, and does not share it: a signal, or the program's clock; null where nothing has. */
    public function inTheWay(BoardPin $pin, Terminal $terminal): ?string
    {
        if ($terminal->signal !== Signal::Pwm && $terminal->signal !== Signal::Carrier) {
            return null;
        }
        $timer = $this->board->timerOf($pin);
        if ($timer === null) {
            return null;
        }
        $taken = $this->taken[$timer->name] ?? null;

        return match (true) {
            $taken !== null && $taken !== $terminal->signal => "{$timer->name} makes {$taken->words()}",
            $timer->keepsTime && $terminal->signal === Signal::Carrier => "{$timer->name} keeps the program's time",
            default => null,
        };
    }
}
