<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** What "all off" means: every output that something can put on. A message is sent and gone, and what only shows something is nobody's to put off. */
final readonly class AllOff
{
    /** @return list<Output> */
    public static function of(Plan $plan): array
    {
        // By what three fields of the routes hold: asked output by output, or route by route, a large plan takes as long as the rest of an edit.
        $routes = $plan->things(ThingKind::Route);
        /** @var array<string, string> $outputs */
        $outputs = $routes->column('outputId');
        /** @var array<string, int|null> $values */
        $values = $routes->column('value');
        $putOn = [];
        foreach ($routes->column('action') as $id => $action) {
            if ($action instanceof Action && ! $action->putsOff($values[$id])) {
                $putOn[$outputs[$id]] = true;
            }
        }

        return array_values(array_filter($plan->outputs(), static fn (Output $output): bool => self::canBeOn($output) && isset($putOn[$output->id])));
    }

    public static function reaches(Plan $plan, Output $output): bool
    {
        return self::canBeOn($output) && array_filter($plan->routesTo($output), static fn (Route $route): bool => ! $route->putsOff()) !== [];
    }

    private static function canBeOn(Output $output): bool
    {
        return $output->kind !== OutputKind::Message && $output->kind !== OutputKind::Display;
    }
}
