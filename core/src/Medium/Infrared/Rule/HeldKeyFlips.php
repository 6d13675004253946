<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A toggle on a key whose remote repeats the same frame while it is held. */
final readonly class HeldKeyFlips extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-held-key-flips';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::sends($plan) as ['link' => $link, 'hop' => $hop, 'code' => $code]) {
            $route = $plan->route($hop->routeId);
            $fromRemote = $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind === NodeKind::Remote;
            if (! $fromRemote || $route->action !== Action::Toggle || IrCodes::holding($code, $this->protocols)->tellsPressFromHold()) {
                continue;
            }
            $periodMs = (int) round(IrCodes::periodNs($code, $this->protocols) / 1e6);
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "Holding {$code->name} flips {$plan->output($route->outputId)->name} again and again",
                Subject::of($route, RouteNames::of($plan, $route), 'action'),
                ['period_ms' => $periodMs],
                "This remote sends the same frame every {$periodMs} ms while the key is held, and nothing in it tells a new press from a held key. A dimmer may repeat, a toggle must not.",
                "Use on and off on two keys, or let the program ignore the code until it has been quiet for {$periodMs} ms and a half more.",
                new Fix('Make it on', Operation::change(ThingKind::Route, $route->id, ['action' => Action::On->value])),
                [$route->id],
            );
        }
    }
}
