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
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Identifiers;

/** A board that may speak and has no identifier to do so. */
#[Finds('can-identifier-missing', WorkStep::Links)]
final readonly class IdentifierMissing implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->link->medium !== Can::KEY || $end->node->kind->isBought()) {
            return [];
        }
        $settings = CanEnd::of($look->plan, $end->endpoint);
        $bus = CanBus::of($look->plan, $end->link);
        if ($settings->identifier !== null || $settings->listenOnly || $bus->settings->foreign || ! $end->endpoint->role->sends()) {
            return [];
        }
        $free = Identifiers::free($bus, $end->endpoint);

        return [Finding::fault(
            "{$end->node->name} has no identifier on {$end->link->name}",
            $end->at('identifier'),
            'Every frame begins with one: it says who speaks, and who gives way when two begin at once.',
            'Give it one that nobody else uses: the lower, the more urgent.',
            $free === null ? null : Fix::change('Give it '.CanMessage::hexOf($free, false), $end->endpoint, ['settings' => ['identifier' => $free]]),
            about: [$end->endpoint->id],
        )];
    }
}
