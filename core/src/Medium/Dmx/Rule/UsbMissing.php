<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;

/** A bridge on USB at a board that is no host there. */
#[Finds('dmx-usb-missing', WorkStep::Nodes)]
final readonly class UsbMissing implements ModuleRule
{
    /** From there on it is a computer with an operating system, and a host. Common practice. */
    private const HOST_MHZ = 600.0;

    public function check(Module $module, Look $look): iterable
    {
        $class = $look->catalogue->classOf($module);
        $node = $look->plan->node($module->nodeId);
        $board = $class->medium === Dmx::KEY && isset($class->figures['usb']) ? $look->board($node) : null;
        if ($board === null || $board->clockMhz >= self::HOST_MHZ) {
            return [];
        }

        return [Finding::fault(
            "{$module->name} of {$node->name} is on USB, and the board has nothing to plug it into",
            Spot::of($module, "{$node->name}: {$module->name}", 'class'),
            'Its own USB socket is for a computer to plug into: it is told there, and tells nobody.',
            'A bridge with a serial input, or a computer.',
            about: [$module->id],
        )];
    }
}
