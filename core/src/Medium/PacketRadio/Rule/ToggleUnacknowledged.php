<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Plan;

/** A toggle or a step over a link that does not say whether it arrived. */
final readonly class ToggleUnacknowledged extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-toggle-unacknowledged';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            if (PacketSettings::of($link)->acknowledge) {
                continue;
            }
            foreach ($plan->hopsOver($link) as $hop) {
                $route = $plan->route($hop->routeId);
                if ($route->action->survivesRepetition()) {
                    continue;
                }
                $name = RouteNames::of($plan, $route);
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "A {$route->action->value} goes over a link that does not acknowledge",
                    Subject::of($route, $name, 'action'),
                    ['action' => $route->action->value],
                    "When one message of {$name} is lost, or taken twice, the output is the wrong way round from then on and nothing says so.",
                    'Send on and off instead, or turn acknowledge on.',
                    self::setLink($link, "Turn acknowledge on for {$link->name}", ['acknowledge' => true]),
                    [$route->id, $link->id],
                );
            }
        }
    }
}
