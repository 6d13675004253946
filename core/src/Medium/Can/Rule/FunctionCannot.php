<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSayings;
use Rundfunk\Medium\Can\CanSignal;
use Rundfunk\Plan\Spot;

/** Something that is asked of a bought node and that a signal cannot say. */
#[Finds('can-function-cannot', WorkStep::Routes)]
final readonly class FunctionCannot implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || $leg->sender->kind->isBought() || ! $leg->receiver->kind->isBought()) {
            return [];
        }
        $signal = CanEnd::of($look->plan, $leg->from)->signal($leg->output->channel)[1] ?? null;
        if ($signal === null || CanSayings::canBeTold($look->plan, $leg->hop, $signal)) {
            return [];
        }

        return [Finding::fault(
            match (true) {
                $signal->of->bits > CanSignal::BITS_READ => "{$signal->name} has {$signal->of->bits} bits: boards send up to ".CanSignal::BITS_READ,
                $signal->of->equals !== null => "{$signal->name} is only asked whether it is {$signal->of->equals}: it is not sent",
                default => "{$leg->output->name} of {$leg->receiver->name} cannot {$leg->route->action->value}",
            },
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}", 'action'),
            'A signal says a figure until it is told another. Nobody ends a pulse of it, and what is turned over or stepped needs a state that only the node knows. The route is left out of the header.',
            'Take on and off, follow or set; or describe the signal as a figure of up to 32 bits.',
            numbers: ['action' => $leg->route->action->value],
            about: [$leg->hop->id],
        )];
    }
}
