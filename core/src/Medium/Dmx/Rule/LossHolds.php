<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Plan\Spot;

/** A board of ours that keeps what it was told when nothing comes any more. */
#[Finds('dmx-loss-holds', WorkStep::Routes)]
final readonly class LossHolds implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->receiver->kind->isBought() || $leg->output->nodeId !== $leg->receiver->id || ! $leg->route->action->holds() || $leg->output->kind->settings()->field('silenceMs') === null || $leg->output->setting('silenceMs') > 0) {
            return [];
        }

        return [Finding::advice(
            "{$leg->output->name} of {$leg->receiver->name} stays on when {$leg->link->name} falls silent",
            Spot::of($leg->output, "{$leg->receiver->name}, {$leg->output->name}", 'silenceMs'),
            'By the standard data counts as lost after a second without a packet; what a board does then is its own affair.',
            'Let it go off when it is not heard of; or leave it, if light in the dark is what you want then.',
            Fix::settings('Off after a second without data', $leg->output, ['silenceMs' => DmxFrame::LOST_MS]),
            about: [$leg->hop->id],
        )];
    }
}
