<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\PinUse;

/** One thing that wants one pin: a terminal, or a bus line that several terminals share. */
final readonly class Demand
{
    /** @var list<string> names of pins the user fixed for it */
    private array $pinned;

    /**
     * @param  list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>  $wants  one, or every terminal on the bus line
     * @param  string|null  $busLine  such as "spi0.sck"
     */
    public function __construct(public string $key, public array $wants, public ?string $busLine = null)
    {
        $this->pinned = self::pins($wants, true);
    }

    /** @return list<string> names of pins the user fixed for it */
    public function pinnedTo(): array
    {
        return $this->pinned;
    }

    /** @return list<string> names of pins that something of it is on now and that Assign may change */
    public function heldPins(): array
    {
        return self::pins($this->wants, false);
    }

    /**
     * @param  list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>  $wants
     * @return list<string>
     */
    private static function pins(array $wants, bool $pinned): array
    {
        $uses = array_filter(array_column($wants, 'use'), static fn (?PinUse $use): bool => $use?->pinned === $pinned);

        return array_values(array_unique(array_column($uses, 'pin')));
    }

    /** What it costs to leave it without a pin: what has one keeps it. */
    public function costUnplaced(): int
    {
        foreach ($this->wants as ['use' => $use]) {
            if ($use !== null) {
                return PinCost::EVICTED;
            }
        }

        return PinCost::UNPLACED;
    }

    /** The same for terminals of one module that any pin suits equally, while they have none; null when it has one, or is a bus line. */
    public function kindWhenNew(): ?string
    {
        ['module' => $module, 'terminal' => $terminal, 'use' => $use, 'latches' => $latches, 'on' => $on, 'hazard' => $hazard] = $this->wants[0];

        return $this->busLine !== null || $use !== null || $terminal->carries === null ? null : "{$module->id} {$terminal->needs} {$terminal->pulls?->value} {$on?->value} ".($latches ? 'latches' : '').($hazard ? 'hazard' : '');
    }

    /** What it costs to put this demand on a pin; null when it cannot go there. */
    public function cost(BoardPin $pin, PinFitness $fitness): ?int
    {
        if ($this->pinned !== []) {
            // One that the user fixed where its bus is not costs as a change: another bus may be there.
            $off = $this->busLine !== null && ! $pin->can($this->busLine) ? PinCost::CHANGE : 0;

            return $this->pinned === [$pin->name] ? $pin->index + $off : null;
        }
        if ($this->busLine !== null && ! $pin->can($this->busLine)) {
            return null;
        }
        $cost = 0;
        foreach ($this->wants as ['terminal' => $terminal, 'use' => $use, 'latches' => $latches, 'on' => $on, 'hazard' => $hazard]) {
            if ($fitness->obstacle($pin, $terminal, $latches, $use) !== null || $fitness->isElsewhere($pin, $terminal, $use)) {
                return null;
            }
            $cost += $fitness->cost($pin, $terminal, $on, $hazard);
            $cost += match (true) {
                $use === null => PinCost::NEWCOMER,
                $use->pin === $pin->name => 0,
                $fitness->isIllPlaced($use, $on, $hazard) && ! $fitness->isIll($pin, $on, $hazard) => PinCost::OFF_CONSOLE,
                default => PinCost::CHANGE,
            };
        }

        return $cost;
    }
}
