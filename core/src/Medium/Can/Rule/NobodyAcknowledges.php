<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A bus on which one speaks and all others only listen. */
#[Finds('can-nobody-acknowledges', WorkStep::Links)]
final readonly class NobodyAcknowledges implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY || CanSettings::of($link)->foreign) {
            return [];
        }
        $bus = CanBus::of($look->plan, $link);
        $awake = array_values(array_filter($bus->ends, static fn (Endpoint $end): bool => ! $bus->end($end)->listenOnly));
        $listening = array_values(array_filter($bus->ends, static fn (Endpoint $end): bool => $bus->end($end)->listenOnly && ! $bus->isBought($end)));
        if (count($awake) !== 1 || $listening === []) {
            return [];
        }
        $name = $look->plan->node($awake[0]->nodeId)->name;
        $speaking = Trial::speaking($look, $bus, $listening[0]);

        return [Finding::fault(
            "{$name} speaks alone on {$link->name}: nobody acknowledges",
            Spot::of($awake[0], "{$name} on {$link->name}"),
            'Who is not acknowledged by anybody sends the same frame for ever. Who only listens acknowledges nothing.',
            'Let one of the others do more than listen.',
            $speaking === null ? null : Fix::change("{$look->plan->node($listening[0]->nodeId)->name} acknowledges", $listening[0], ['settings' => $speaking]),
            about: [$link->id],
        )];
    }
}
