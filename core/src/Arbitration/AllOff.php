<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\InOrder;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** What "all off" means: every output that something can put on. A message is sent and gone, and what only shows something is nobody's to put off. */
final readonly class AllOff
{
    /** @return list<string> ids, in order */
    public static function of(Plan $plan): array
    {
        // By what single fields hold: asked output by output, or route by route, a large plan takes as long as the rest of an edit.
        $routes = $plan->things(ThingKind::Route);
        /** @var array<string, string> $driven */
        $driven = $routes->column('outputId');
        /** @var array<string, int|null> $values */
        $values = $routes->column('value');
        $putOn = [];
        foreach ($routes->column('action') as $id => $action) {
            if ($action instanceof Action && ! $action->putsOff($values[$id])) {
                $putOn[$driven[$id]] = true;
            }
        }
        $outputs = $plan->things(ThingKind::Output);
        /** @var array<string, OutputKind> $kinds */
        $kinds = $outputs->column('kind');
        /** @var array<string, int> $orders */
        $orders = $outputs->column('order');

        return InOrder::ids(array_intersect_key($orders, $putOn, array_filter($kinds, self::canBeOn(...))));
    }

    public static function reaches(Plan $plan, Output $output): bool
    {
        return self::canBeOn($output->kind) && array_filter($plan->routesTo($output), static fn (Route $route): bool => ! $route->putsOff()) !== [];
    }

    private static function canBeOn(OutputKind $kind): bool
    {
        return $kind !== OutputKind::Message && $kind !== OutputKind::Display;
    }
}
