<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\PinUse;

/** Whether a terminal may sit on a pin, and how well. */
final readonly class PinFitness
{
    /** @param  list<string>  $busesInUse such as "spi0" */
    public function __construct(private Board $board, private array $busesInUse = [], private ?Timers $timers = null)
    {
    }

    /**
     * Why the terminal cannot work on the pin; null when it can.
     *
     * @param  bool  $latches  a switch is on it, which stays as it is put, through a power-up too
     * @param  PinUse|null  $use  its wire, which says whether the program makes its signal
     */
    public function obstacle(BoardPin $pin, Terminal $terminal, bool $latches = false, ?PinUse $use = null): ?PinObstacle
    {
        return match (true) {
            $pin->strap !== null && $latches => PinObstacle::Strap,
            ! $pin->serves($terminal->asks($use)) => PinObstacle::Incapable,
            $pin->strap !== null && $terminal->pulls !== null && $terminal->pulls->level() !== $pin->strap => PinObstacle::Strap,
            $this->mustDrive($pin) && in_array($terminal->needs, ['digital-in', 'analogue'], true) => PinObstacle::MustDrive,
            $pin->offeredBy !== null && ! $terminal->isSlow() => PinObstacle::Slow,
            ! $terminal->isBySoftware($use) && $this->timers?->inTheWay($pin, $terminal) !== null => PinObstacle::TimerTaken,
            default => null,
        };
    }

    /** What is lost when the terminal takes the pin; the more, the worse. Pins are told apart by their order. */
    public function cost(BoardPin $pin, Terminal $terminal, ?Level $on = null, bool $hazard = false): int
    {
        $plain = in_array($terminal->needs, ['digital-in', 'digital-out'], true);

        return ($pin->console ? PinCost::CONSOLE : 0)
            + ($this->isUnquiet($pin, $on, $hazard) ? PinCost::CONSOLE : 0)
            + ($pin->strap !== null ? PinCost::STRAP : 0)
            + ($pin->led ? PinCost::LED : 0)
            + ($terminal->contact && ! $pin->hasPullUp ? PinCost::NO_PULL_UP : 0)
            + ($plain ? PinCost::TALENT * $pin->talents() : 0)
            + $pin->index;
    }

    /** Its signal is made at other pins of the board. */
    public function isElsewhere(BoardPin $pin, Terminal $terminal, ?PinUse $use): bool
    {
        return ! $terminal->isBySoftware($use) && $this->timers?->isElsewhere($pin, $terminal) === true;
    }

    /** Where it is now there is a warning already: on the console, or where it is worked, or left as it is, while the board starts. */
    public function isIllPlaced(PinUse $use, ?Level $on, bool $hazard): bool
    {
        $pin = $this->board->pin($use->pin);

        return $pin !== null && $this->isIll($pin, $on, $hazard);
    }

    public function isIll(BoardPin $pin, ?Level $on, bool $hazard): bool
    {
        return $pin->console || $this->isUnquiet($pin, $on, $hazard);
    }

    /** What can hurt is not for an expander either, which stays as it was while the board starts anew. */
    private function isUnquiet(BoardPin $pin, ?Level $on, bool $hazard): bool
    {
        return ($on !== null && $pin->start->switchesOn($on) !== null) || ($hazard && $pin->offeredBy !== null);
    }

    private function mustDrive(BoardPin $pin): bool
    {
        return $pin->outputWhile !== null && in_array($pin->outputWhile, $this->busesInUse, true);
    }
}
