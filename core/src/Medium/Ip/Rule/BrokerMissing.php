<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A link without a broker, or with two. */
#[Finds('ip-broker-missing', WorkStep::Links)]
final readonly class BrokerMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $brokers = count(IpEnds::brokers($look->plan, $link));
        $boards = array_filter($look->plan->endpointsOn($link), static fn (Endpoint $end): bool => ! $look->plan->node($end->nodeId)->kind->isBought());
        // A board alone on its network serves its own page: nobody has anything to hand on.
        $alone = count($boards) <= 1 && $look->plan->hopsOver($link) === [];
        if ($brokers === 1 || ($brokers === 0 && $alone)) {
            return [];
        }

        return [Finding::fault(
            $brokers === 0 ? "No node of {$link->name} runs the broker" : "{$brokers} nodes of {$link->name} run a broker",
            Spot::of($link, $link->name, 'broker'),
            $brokers === 0 ? 'Everybody publishes and nobody passes it on.' : 'Who speaks to the one does not hear who speaks to the other.',
            'Mark the one node that runs it: the gateway that is always on.',
            numbers: ['brokers' => $brokers],
        )];
    }
}
