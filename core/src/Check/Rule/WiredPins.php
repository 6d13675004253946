<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Every wire of a plan, with what it joins: what the rules about pins go through. */
final readonly class WiredPins
{
    /** @return iterable<array{node: Node, board: Board, module: Module, terminal: Terminal, use: PinUse, pin: BoardPin|null}> */
    public static function of(Plan $plan, Catalogue $catalogue): iterable
    {
        foreach ($plan->nodes() as $node) {
            $board = $catalogue->boardOf($node);
            if ($board === null) {
                continue;
            }
            foreach ($plan->modulesOf($node) as $module) {
                $class = $catalogue->classOf($module);
                foreach ($plan->pinUsesOf($module) as $use) {
                    $terminal = $class->terminal($use->terminal);
                    if ($terminal !== null) {
                        yield ['node' => $node, 'board' => $board, 'module' => $module, 'terminal' => $terminal, 'use' => $use, 'pin' => $board->pin($use->pin)];
                    }
                }
            }
        }
    }

    /** @return list<ThingKind> */
    public static function kinds(): array
    {
        return [ThingKind::Node, ThingKind::Module, ThingKind::PinUse, ThingKind::Control, ThingKind::Output];
    }
}
