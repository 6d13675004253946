<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\Spot;

/** Something bought on a line, and nobody knows what it speaks. */
#[Finds('serial-bought-unspoken', WorkStep::Links)]
final readonly class BoughtUnspoken implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (! $end->node->kind->isBought() || $end->node->speaks() !== null) {
            return [];
        }
        $known = self::known($look, $end);

        return [Finding::fault(
            "Nobody knows what {$end->node->name} on {$end->link->name} speaks",
            Spot::of($end->node, $end->node->name, 'protocolId'),
            'A thing from a shop knows the words of its makers, and none of ours: it is asked and never answers.',
            'Write down what its manual says of its frames, its functions and its readings, and name that here.',
            $known === null ? null : Fix::change("It speaks {$known->name}", $end->node, ['protocolId' => $known->id]),
            numbers: ['protocol' => 'unknown'],
            about: [$end->link->id],
        )];
    }

    /** What the others on the line speak, where that is one thing; nothing while its own functions are named in other words. */
    private static function known(Look $look, End $end): ?Protocol
    {
        if ($look->plan->outputsOf($end->node) !== [] || $look->plan->controlsOf($end->node) !== []) {
            return null;
        }
        $spoken = SerialLine::of($look->plan, $end->link)->spoken();

        return count($spoken) === 1 ? $spoken[0] : null;
    }
}
