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
use Rundfunk\Plan\Route;

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
                if ($other === null || ! self::clash($plan, $other, ['hop' => $hop, 'route' => $route])) {
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

    /**
     * One control may do two things by one code, two may mean the same by it; and what one of our own senders says twice is a
     * matter of its codes, and said there.
     *
     * @param  array{hop: Hop, route: Route}  $one
     * @param  array{hop: Hop, route: Route}  $other
     */
    private static function clash(Plan $plan, array $one, array $other): bool
    {
        $ofOneSender = $one['hop']->fromId === $other['hop']->fromId && KeyedCodes::isOurs($plan, $one['hop']) && KeyedCodes::isOurs($plan, $other['hop']);

        return ! $ofOneSender && $one['route']->controlId !== $other['route']->controlId && ! $one['route']->asksTheSameAs($other['route']);
    }
}
