<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSettings;

/** A node of ours on the bus of a vehicle or machine that does more than listen. */
#[Finds('can-not-silent', WorkStep::Links)]
final readonly class ForeignNotSilent implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->link->medium !== Can::KEY || ! CanSettings::of($end->link)->foreign || $end->node->kind->isBought() || CanEnd::of($look->plan, $end->endpoint)->listenOnly) {
            return [];
        }

        return [Finding::danger(
            "{$end->node->name} can speak on {$end->link->name}, which is not ours",
            $end->at('listenOnly'),
            'On such a bus brakes, doors or a battery may be told what to do. A wrong rate, a wrong identifier or a program that hangs stops them from being heard; even an acknowledgement that comes wrongly does. What a vehicle may be connected to is a matter of its maker and of the law.',
            'Set its controller to listen only, or cut its transmit wire; then it cannot.',
            Fix::change("{$end->node->name} only listens", $end->endpoint, ['settings' => ['listenOnly' => true]]),
            about: [$end->endpoint->id],
        )];
    }
}
