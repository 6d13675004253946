<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Spot;

/** A node that only listens and is to say something. */
#[Finds('can-listener-tells', WorkStep::Routes)]
final readonly class ListenerTells implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || CanSettings::of($leg->link)->foreign || $leg->sender->kind->isBought() || ! CanEnd::of($look->plan, $leg->from)->listenOnly) {
            return [];
        }
        $speaking = Trial::speaking($look, CanBus::of($look->plan, $leg->link), $leg->from);

        return [Finding::fault(
            "{$leg->sender->name} only listens to {$leg->link->name}: {$leg->control->name} never gets through",
            Spot::of($leg->from, "{$leg->sender->name} on {$leg->link->name}", 'listenOnly'),
            'Its header has nothing that makes a frame.',
            'Let it speak, on a bus of your own; or send it another way.',
            $speaking === null ? null : Fix::change("{$leg->sender->name} speaks as well", $leg->from, ['settings' => $speaking]),
            about: [$leg->hop->id],
        )];
    }
}
