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
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** An output that follows a signal of which nobody notices that it has stopped. */
#[Finds('can-silence-unseen', WorkStep::Routes)]
final readonly class SilenceUnseen implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || ! $leg->sender->kind->isBought() || $leg->control->kind !== ControlKind::Reading) {
            return [];
        }
        $found = CanEnd::of($look->plan, $leg->from)->signal($leg->control->terminal);
        if ($found === null || $found[0]->of->periodMs > 0) {
            return [];
        }

        return [Finding::warning(
            "{$leg->output->name} keeps what {$leg->control->name} said last, whatever becomes of {$leg->sender->name}",
            Spot::of($found[0]->of, "{$found[0]->of->name} of {$leg->sender->name}", 'periodMs'),
            "{$found[0]->of->name} has no period: that it has not come for long says nothing. A loose plug leaves the output as it was.",
            'Say how often it comes; after three periods without it the reading counts as failed. A recording shows it.',
            // On a bus that is too full other things are said first.
            CanBus::of($look->plan, $leg->link)->load() > 1.0 ? null : Fix::change("{$found[0]->of->name} comes every second", $found[0]->of, ['periodMs' => 1_000]),
            about: [$leg->hop->id],
        )];
    }
}
