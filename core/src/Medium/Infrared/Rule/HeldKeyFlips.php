<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A toggle on a key whose remote repeats the same frame while it is held. */
#[Finds('ir-held-key-flips', WorkStep::Routes)]
final readonly class HeldKeyFlips extends InfraredRule implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        foreach (LearnedCodes::all($look->plan, $leg->hop) as $code) {
            $fromRemote = $leg->sender->kind === NodeKind::Remote;
            if (! $fromRemote || $leg->route->action !== Action::Toggle || IrCodes::holding($code, $this->protocols)->tellsPressFromHold()) {
                continue;
            }
            $periodMs = (int) round(IrCodes::periodNs($code, $this->protocols) / 1e6);
            yield Finding::warning(
                "Holding {$code->name} flips {$leg->output->name} again and again",
                Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
                "This remote sends the same frame every {$periodMs} ms while the key is held, and nothing in it tells a new press from a held key. A dimmer may repeat, a toggle must not.",
                "Use on and off on two keys, or let the program ignore the code until it has been quiet for {$periodMs} ms and a half more.",
                Fix::change('Make it on', $leg->route, ['action' => Action::On->value]),
                numbers: ['period_ms' => $periodMs],
                about: [$leg->route->id],
            );
        }
    }
}
