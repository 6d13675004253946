<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** A serial port whose two lines go to different modules: it has one rate and one format for both. */
#[Finds('port-shared', WorkStep::PinsAndPower)]
final readonly class PortShared implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $ports = [];
        foreach ($look->wiresOf($node) as $wire) {
            if (str_starts_with($wire->terminal->needs, 'uart.') && ! $wire->terminal->isBySoftware($wire->use)) {
                foreach ($wire->buses() as $port) {
                    $ports[$port][$wire->module->id] = $wire->module->name;
                }
            }
        }
        foreach ($ports as $port => $modules) {
            if (count($modules) < 2) {
                continue;
            }
            sort($modules, SORT_NATURAL);
            yield Finding::warning(
                implode(' and ', $modules)." share a serial port of {$node->name}",
                Spot::of($node, $node->name, 'pins'),
                'A port has one rate and one format, for what it sends and what it hears alike, and a break on the one line stops the other.',
                'A port each, as long as there are enough; or one of them by software, where it is slow.',
                numbers: ['port' => $port],
                about: [$node->id, $port],
            );
        }
    }
}
