<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Plan;

final readonly class CodeUnknown extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-code-unknown';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::hops($plan) as ['link' => $link, 'settings' => $settings, 'hop' => $hop, 'route' => $route, 'output' => $output]) {
            $code = LearnedCodes::of($plan, $hop);
            $known = $code !== null && ($settings->coding === KeyedCoding::Pair ? KeyedCodes::button($code) !== null : KeyedCodes::bits($code) !== null);
            if ($known || KeyedCodes::isOurs($plan, $hop)) {
                continue;
            }
            $pair = $settings->coding === KeyedCoding::Pair;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $pair ? "{$plan->control($route->controlId)->name} is no button of its fob yet" : "The code of {$plan->control($route->controlId)->name} for {$output->name} is not known",
                Subject::of($hop, RouteNames::of($plan, $route)." over {$link->name}", 'code'),
                [],
                $pair ? 'Each button of the fob works one pin of the receiver: which, decides the wiring.' : 'The receiver cannot wait for what nobody has told it, nor a transmitter send it.',
                $pair ? 'Assign gives it the first free button.' : 'Capture it: press the key for a second close to a receiver, and learn it on the fob\'s or socket\'s own page.',
            );
        }
    }
}
