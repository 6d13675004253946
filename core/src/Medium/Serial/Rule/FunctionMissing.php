<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Choices;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** An output of a bought device that is none of the functions which the device has. */
#[Finds('serial-function-missing', WorkStep::Nodes)]
final readonly class FunctionMissing implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $node = $look->plan->node($output->nodeId);
        $protocol = $node->speaks() === null ? null : $look->plan->protocol($node->speaks());
        if ($protocol === null || Meant::itemOf($output, $protocol) !== null) {
            return [];
        }
        $item = Choices::function($look->plan, $output, $protocol);

        return [Finding::fault(
            $output->channel === null ? "{$output->name} of {$node->name} is none of its functions yet" : "{$node->name} has no function {$output->channel}",
            Spot::of($output, "{$node->name}, {$output->name}", 'channel'),
            "{$protocol->name} does what its manual says, and nothing else.",
            'Choose the function that is meant; or write it down with the others.',
            $item === null ? null : Fix::change("Make it {$item->name}", $output, ['channel' => $item->name]),
            numbers: ['function' => $output->channel ?? 'none'],
            about: [$output->id],
        )];
    }
}
