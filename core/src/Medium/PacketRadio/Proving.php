<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Medium\PacketRadio\Step\RetryDelayStep;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;

/** What it takes for the messages of a link to prove themselves: longer frames, and with them other delays where senders would meet again. Worked out once a link. */
final class Proving
{
    /** @var array<string, list<Operation>> by link */
    private array $known = [];

    public function __construct(private readonly Plan $plan)
    {
    }

    /** @return list<Operation> */
    public function of(Link $link, int $payloadBytes): array
    {
        return $this->known[$link->id] ??= $this->workOut($link, $payloadBytes);
    }

    /** @return list<Operation> */
    private function workOut(Link $link, int $payloadBytes): array
    {
        $values = ['proven' => true, 'payloadBytes' => $payloadBytes];
        $draft = $this->plan->draft();
        $draft->change($link, ['settings' => [...$link->settings, ...$values]]);
        $plan = $draft->plan();
        $operations = [Operation::change(Link::kind(), $link->id, ['settings' => $values])];
        foreach (RetryDelayStep::on($plan, $plan->link($link->id)) as $proposal) {
            // Who has no delay yet is waiting for one anyway.
            if ($proposal->before !== null) {
                array_push($operations, ...$proposal->operations);
            }
        }

        return $operations;
    }
}
