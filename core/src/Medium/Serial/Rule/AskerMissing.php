<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Askers;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** Nobody asks, so nobody may answer; or several ask at once. */
#[Finds('serial-asker-missing', WorkStep::Links)]
final readonly class AskerMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $askers = $line->askers();
        // Among what was bought nobody else can.
        if ($line->isBought() || $line->settings->topology !== Topology::Polled || count($line->ends) < 2 || count($askers) === 1) {
            return;
        }
        $chosen = Askers::best($look->plan, $line);
        $name = static fn (Endpoint $end): string => $look->plan->node($end->nodeId)->name;
        $fix = $chosen === null ? null : new Fix("Let {$name($chosen)} ask", ...array_map(
            static fn (Endpoint $end): Operation => Operation::change(Endpoint::kind(), $end->id, ['settings' => ['asks' => $end->id === $chosen->id]]),
            array_values(array_filter($line->ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->asks !== ($end->id === $chosen->id))),
        ));
        yield $askers === []
            ? Finding::fault("Nobody asks on {$link->name}", Spot::of($link, $link->name, 'topology'), 'The others answer when they are asked, and never else: all are silent.', 'Say which of them asks.', $fix, numbers: ['ends' => count($line->ends)], about: [$link->id])
            : Finding::fault(implode(' and ', array_map($name, $askers))." both ask on {$link->name}", Spot::of($link, $link->name, 'topology'), 'They speak at once and garble each other, and the answer to one is taken for the other\'s.', 'One asks; what the others have to say goes through it.', $fix, numbers: ['askers' => count($askers)], about: [$link->id]);
    }
}
