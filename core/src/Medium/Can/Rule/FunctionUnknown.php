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
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Plan\Spot;

/** A function of a bought node that nobody knows a signal for. */
#[Finds('can-function-unknown', WorkStep::Routes)]
final readonly class FunctionUnknown implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || $leg->sender->kind->isBought() || ! $leg->receiver->kind->isBought() || CanSettings::of($leg->link)->foreign) {
            return [];
        }
        if (CanEnd::of($look->plan, $leg->from)->signal($leg->output->channel) !== null) {
            return [];
        }

        return [Finding::fault(
            $leg->output->channel === null ? "Nothing says what {$leg->sender->name} sends for {$leg->output->name}" : "{$leg->sender->name} sends no {$leg->output->channel}",
            Spot::of($leg->output, "{$leg->receiver->name}, {$leg->output->name}", 'channel'),
            "A bought node on a bus does what a signal says. The message that bears it is one of {$leg->sender->name}, for that sends it.",
            "Describe the message among those of {$leg->sender->name}, and name its signal as the channel of {$leg->output->name}.",
            numbers: ['signal' => $leg->output->channel ?? 'none'],
            about: [$leg->hop->id],
        )];
    }
}
