<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\PinFitness;
use Rundfunk\Pins\PinObstacle;
use Rundfunk\Pins\PinWords;
use Rundfunk\Pins\Timers;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\ModulePins;
use Rundfunk\View\Shown\PinJudged;
use Rundfunk\View\Shown\TerminalPins;

/** Where each terminal of a module can go, and why it cannot go elsewhere: what the matcher knows, for whoever moves wires by hand. */
final readonly class ModulePinsView implements View
{
    public function key(): string
    {
        return 'module-pins';
    }

    public function owner(): string
    {
        return Module::class;
    }

    public function shape(): string
    {
        return ModulePins::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?ModulePins
    {
        $module = $plan->module($of);
        $node = $plan->node($module->nodeId);
        $board = $knowledge->catalogue->boardOf($node);
        if ($board === null) {
            return null;
        }
        $timers = Timers::of($board, Demands::of($plan, $node, $knowledge->catalogue)->all());
        $fitness = new PinFitness($board, self::busesInUse($plan, $module, $board, $knowledge), $timers);
        $switches = [];
        foreach ($plan->having(Control::class, 'moduleId', $module->id) as $control) {
            if ($control->kind === ControlKind::Switch && $control->terminal !== null) {
                $switches[$control->terminal] = true;
            }
        }

        $uses = array_column($plan->pinUsesOf($module), null, 'terminal');

        return new ModulePins(array_map(static fn (Terminal $terminal): TerminalPins => new TerminalPins(
            $terminal->name,
            array_map(static fn (BoardPin $pin): PinJudged => self::judged($pin, $terminal, $fitness, $timers, isset($switches[$terminal->name]), $uses[$terminal->name] ?? null), array_values($board->pins)),
        ), array_values($knowledge->catalogue->classOf($module)->terminals)));
    }

    private static function judged(BoardPin $pin, Terminal $terminal, PinFitness $fitness, Timers $timers, bool $latches, ?PinUse $use): PinJudged
    {
        $obstacle = $fitness->obstacle($pin, $terminal, $latches, $use);
        $why = match ($obstacle) {
            PinObstacle::Incapable => 'it is no '.PinWords::of($terminal->asks($use)),
            PinObstacle::Strap => 'it decides at power-up whether the board starts',
            PinObstacle::MustDrive => 'it must stay an output while its bus is in use',
            PinObstacle::Slow => 'an expander is too slow for it',
            PinObstacle::TimerTaken => (string) $timers->inTheWay($pin, $terminal),
            null => implode('; ', array_filter([
                $pin->console ? 'boot messages reach it' : '',
                $pin->strap !== null ? 'a boot pin: nothing may hold it at power-up' : '',
                $terminal->contact && ! $pin->hasPullUp ? 'it needs a pull-up resistor' : '',
                $pin->led ? 'the lamp of the board is on it' : '',
            ], static fn (string $word): bool => $word !== '')),
        };

        return new PinJudged($pin->name, $obstacle === null, $why);
    }

    /** @return list<string> such as "spi0" */
    private static function busesInUse(Plan $plan, Module $module, Board $board, Knowledge $knowledge): array
    {
        $buses = [];
        foreach ($plan->modulesOf($plan->node($module->nodeId)) as $other) {
            $class = $knowledge->catalogue->classOf($other);
            foreach ($plan->pinUsesOf($other) as $use) {
                $needs = $class->terminal($use->terminal)->needs ?? '';
                foreach (str_contains($needs, '.') ? $board->pin($use->pin)->can ?? [] : [] as $can) {
                    if (str_starts_with($can, explode('.', $needs)[0])) {
                        $buses[explode('.', $can)[0]] = true;
                    }
                }
            }
        }

        return array_keys($buses);
    }
}
