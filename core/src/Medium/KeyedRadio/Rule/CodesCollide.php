<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** Two different commands with one code on one frequency. */
final readonly class CodesCollide extends KeyedRule
{
    public function key(): string
    {
        return 'keyed-codes-collide';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach (KeyedCodes::sentOver($plan, $link) as ['hop' => $hop, 'bits' => $bits]) {
                $route = $plan->route($hop->routeId);
                $key = "{$settings->freqKhz} {$bits->bits}";
                $other = $first[$key] ?? null;
                $first[$key] ??= ['hop' => $hop, 'route' => $route];
                if ($other === null || self::isOfOneSender($plan, $other['hop'], $hop) || $other['route']->controlId === $route->controlId || ($other['route']->outputId === $route->outputId && $other['route']->action === $route->action && $other['route']->value === $route->value)) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$bits->text()} means two things",
                    Subject::of($hop, RouteNames::of($plan, $route)." over {$link->name}", 'code'),
                    ['code' => $bits->bits],
                    RouteNames::of($plan, $other['route']).' and '.RouteNames::of($plan, $route).' are the same 24 bits on the same frequency: whoever hears one does the other too.',
                    'Set one of the senders to another code and learn it again.',
                    null,
                    [$other['hop']->id, $hop->id],
                );
            }
        }
    }

    /** What one of our own senders says twice is a matter of its codes, and said there. */
    private static function isOfOneSender(Plan $plan, Hop $one, Hop $other): bool
    {
        return $one->fromId === $other->fromId && KeyedCodes::isOurs($plan, $one) && KeyedCodes::isOurs($plan, $other);
    }
}
