<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Check\Wire;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SafeState;
use Rundfunk\Power\Levels\Wiring;
use Rundfunk\Power\SupplyTree;

/** What a node's modules want of its board's pins. */
final readonly class Demands
{
    /**
     * @param  list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>  $plain
     * @param  array<string, list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>>  $onBus  by module id
     * @param  array<string, int>  $addresses  on an I²C bus, by module id
     * @param  list<string>  $left  pins of wires that nobody asks for: a terminal's second, or one of no terminal
     */
    private function __construct(private array $plain, private array $onBus, private ?Board $board, private array $addresses, public array $left, private Plan $plan, private Catalogue $catalogue)
    {
    }

    public static function of(Plan $plan, Node $node, Catalogue $catalogue): self
    {
        $carried = self::carried($plan, $node);
        $board = $catalogue->boardOf($node);
        $hazards = self::hazards($plan, $node);
        $plain = [];
        $onBus = [];
        $addresses = [];
        $left = [];
        foreach ($plan->modulesOf($node) as $module) {
            $address = $catalogue->classOf($module)->i2cAddress;
            $addresses += $address === null ? [] : [$module->id => $address];
            $uses = [];
            $class = $catalogue->classOf($module);
            foreach ($plan->pinUsesOf($module) as $use) {
                if (isset($uses[$use->terminal]) || ! isset($class->terminals[$use->terminal])) {
                    $left[] = $use->pin;
                }
                $uses[$use->terminal] ??= $use;
            }
            foreach ($class->terminals as $terminal) {
                $use = $uses[$terminal->name] ?? null;
                $channel = $terminal->with ?? ($terminal->carries === null ? null : $terminal->name);
                $idle = $terminal->optional || ($channel !== null && ! isset($carried[$module->id][$channel]));
                if ($idle && $use === null) {
                    continue;
                }
                $want = ['module' => $module, 'terminal' => $terminal, 'use' => $use, 'latches' => $carried[$module->id][$terminal->name] ?? false, 'on' => OnLevel::of($plan, $module, $class, $terminal), 'hazard' => isset($hazards["{$module->id} {$channel}"])];
                $terminal->onBus() && ! $terminal->isBySoftware($use) ? $onBus[$module->id][] = $want : $plain[] = $want;
            }
        }

        return new self($plain, $onBus, $board, $addresses, $left, $plan, $catalogue);
    }

    /** @return list<string> ids of modules that need a bus */
    public function busModules(): array
    {
        return array_map(strval(...), array_keys($this->onBus));
    }

    /**
     * @param  array<string, string>  $buses  module id → bus
     * @return int how many answer to an address that another on their bus has
     */
    public function clashes(array $buses): int
    {
        $first = [];
        $clashes = 0;
        foreach ($this->addresses as $id => $address) {
            $place = ($buses[$id] ?? '').' '.$address;
            $clashes += isset($first[$place]) ? 1 : 0;
            $first[$place] = true;
        }

        return $clashes;
    }

    /** @return string such as "spi": what kind of bus a module needs */
    public function busKind(string $moduleId): string
    {
        return explode('.', $this->onBus[$moduleId][0]['terminal']->needs)[0];
    }

    /**
     * @param  array<string, string>  $buses  module id → bus, such as "spi0"
     * @return list<Demand>
     */
    public function asking(array $buses): array
    {
        $demands = [];
        $lines = [];
        foreach ($this->onBus as $moduleId => $wants) {
            foreach ($wants as $want) {
                $line = $buses[$moduleId].'.'.explode('.', $want['terminal']->needs)[1];
                $lines[$line.($this->standsAlone($want, $line) ? " {$moduleId}" : '')][] = $want;
            }
        }
        foreach ($lines as $key => $wants) {
            $demands[] = new Demand($key, $wants, explode(' ', $key)[0]);
        }
        foreach ($this->plain as $want) {
            $demands[] = new Demand($want['module']->id.'.'.$want['terminal']->name, [$want]);
        }

        return $demands;
    }

    /** With what is to hold each of them while nothing drives it: that matters where a board has pins that must be low or high for it to start. */
    public function pulled(): self
    {
        $board = $this->board;
        if ($board === null || array_filter($board->pins, static fn (BoardPin $pin): bool => $pin->strap !== null) === []) {
            return $this;
        }
        $wiring = new Wiring($this->plan, $this->catalogue, new SupplyTree($this->plan, $this->catalogue));

        return new self(
            $this->pulledBy($wiring, $board, $this->plain),
            array_map(fn (array $wants): array => $this->pulledBy($wiring, $board, $wants), $this->onBus),
            $board, $this->addresses, $this->left, $this->plan, $this->catalogue,
        );
    }

    /**
     * @param  list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>  $wants
     * @return list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}>
     */
    private function pulledBy(Wiring $wiring, Board $board, array $wants): array
    {
        foreach ($wants as $at => $want) {
            // Whichever pin it is to get.
            $wire = new Wire($this->plan->node($want['module']->nodeId), $board, $want['module'], $want['terminal'], $want['use'] ?? new PinUse('', $want['module']->id, $want['terminal']->name, ''), null);
            $wants[$at]['terminal'] = Pulling::soon($wiring, $wire);
        }

        return $wants;
    }

    /**
     * A serial line joins two ends and no third; and what the user fixed on a pin that is not this line's must not drag the
     * others of the bus along.
     *
     * @param  array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}  $want
     */
    private function standsAlone(array $want, string $line): bool
    {
        if (! $want['terminal']->sharesBus()) {
            return true;
        }

        return $want['use']?->pinned === true && $this->board?->pin($want['use']->pin)?->can($line) !== true;
    }

    /** Every terminal that needs a pin has one. */
    public function met(): bool
    {
        return $this->unmet() === [];
    }

    /** @return list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}> */
    public function all(): array
    {
        return array_merge($this->plain, ...array_values($this->onBus));
    }

    /** @return list<array{module: Module, terminal: Terminal, use: PinUse|null, latches: bool, on: Level|null, hazard: bool}> */
    public function unmet(): array
    {
        return array_values(array_filter($this->all(), static fn (array $want): bool => $want['use'] === null));
    }

    /** @return array<string, true> channels, with their modules, of what can hurt */
    private static function hazards(Plan $plan, Node $node): array
    {
        $hazards = [];
        foreach ($plan->outputsOf($node) as $output) {
            // What must be off or on while no program runs wants a quiet pin as much as what can hurt.
            if ($output->hazards !== [] || ($output->safe !== null && $output->safe !== SafeState::Any)) {
                $hazards["{$output->moduleId} {$output->channel}"] = true;
            }
        }

        return $hazards;
    }

    /** @return array<string, array<string, bool>> module id → terminals that carry a control or an output, and whether that is a switch that stays as it is put */
    private static function carried(Plan $plan, Node $node): array
    {
        $carried = [];
        foreach ($plan->controlsOf($node) as $control) {
            if ($control->moduleId !== null && $control->terminal !== null) {
                $carried[$control->moduleId][$control->terminal] = $control->kind === ControlKind::Switch || ($carried[$control->moduleId][$control->terminal] ?? false);
            }
        }
        foreach ($plan->outputsOf($node) as $output) {
            if ($output->moduleId !== null && $output->channel !== null) {
                $carried[$output->moduleId][$output->channel] ??= false;
            }
        }

        return $carried;
    }
}
