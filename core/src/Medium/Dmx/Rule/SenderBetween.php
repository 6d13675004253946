<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** A sender that stands somewhere along the cable instead of at its beginning. */
#[Finds('dmx-sender-between', WorkStep::Links)]
final readonly class SenderBetween implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        $sender = $universe->senders[0] ?? null;
        $before = [];
        foreach ($universe->ends as $end) {
            if ($sender === null || $end->id === $sender->id) {
                break;
            }
            if (DmxEnd::of($end)->segment === 1 && ! $end->role->sends()) {
                $before[] = $end;
            }
        }
        if ($universe->settings->isNetwork || $sender === null || $before === []) {
            return [];
        }
        $turn = [$sender, ...array_filter($universe->ends, static fn (Endpoint $end): bool => $end->id !== $sender->id)];

        return [Finding::warning(
            "{$universe->node($sender)->name} stands in the middle of {$link->name}",
            Spot::of($sender, "{$universe->node($sender)->name} on {$link->name}"),
            'Two cables from one driver are a Y: each end of it reflects into the other. The order of the ends here is that along the cable, and the driver is its beginning.',
            'Lay it as one line from the sender on, or give each way a splitter\'s output.',
            new Fix('It is the beginning', ...self::ordered($turn)),
            about: [$link->id],
        )];
    }

    /**
     * @param  array<int, Endpoint>  $turn
     * @return list<Operation> what puts them in that order
     */
    private static function ordered(array $turn): array
    {
        $operations = [];
        foreach (array_values($turn) as $order => $end) {
            if ($end->order !== $order) {
                $operations[] = Operation::change(Endpoint::kind(), $end->id, ['order' => $order]);
            }
        }

        return $operations;
    }
}
