<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Plan;

/** A link without a broker, or with two. */
final readonly class BrokerMissing extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-broker-missing';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link]) {
            $brokers = count(IpEnds::brokers($plan, $link));
            if ($brokers === 1 || $plan->endpointsOn($link) === []) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $brokers === 0 ? "No node of {$link->name} runs the broker" : "{$brokers} nodes of {$link->name} run a broker",
                Subject::of($link, $link->name, 'broker'),
                ['brokers' => $brokers],
                $brokers === 0 ? 'Everybody publishes and nobody passes it on.' : 'Who speaks to the one does not hear who speaks to the other.',
                'Mark the one node that runs it: the gateway that is always on.',
            );
        }
    }
}
