<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Plan;

/** A toggle over a link on which a message may come twice, or not at all. */
final readonly class ToggleTwice extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-toggle-twice';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($settings->qos === 2 ? [] : $plan->hopsOver($link) as $hop) {
                $route = $plan->route($hop->routeId);
                if ($route->action->survivesRepetition()) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$plan->output($route->outputId)->name} is toggled where a message may ".($settings->qos === 1 ? 'come twice' : 'be lost'),
                    Subject::of($route, RouteNames::of($plan, $route), 'action'),
                    ['qos' => $settings->qos],
                    $settings->qos === 1 ? 'QoS 1 sends again when the answer is late: twice toggled is not toggled.' : 'QoS 0 does not ask whether it arrived: what was lost leaves it the wrong way round.',
                    'Use on and off, as its state topic says which; or QoS 2.',
                    self::setLink($link, 'Set QoS 2', ['qos' => 2]),
                    [$route->id, $link->id],
                );
            }
        }
    }
}
