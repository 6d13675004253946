<?php

declare(strict_types=1);

namespace Tests\Core\Assign;

use function largePlan;

use Rundfunk\Check\Finding;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Tests\Core\CoreTestCase;

require_once __DIR__.'/../../../benchmarks/large-plan.php';

/** The made-up plan that speed is measured on: a group of ten nodes a medium, as crowded as the medium allows. */
final class LargePlanTest extends CoreTestCase
{
    public function test_it_holds_every_medium_and_is_sound_when_it_has_been_assigned(): void
    {
        $plan = self::assigner()->assign(largePlan(70, self::assigner()))->plan;
        self::assertCount(70, $plan->nodes());
        self::assertCount(700, $plan->routes());
        self::assertCount(5, array_unique(array_map(static fn (Link $link): string => $link->medium, $plan->links())));
        self::assertCount(700, array_filter($plan->hops(), static fn (Hop $hop): bool => $hop->toId !== $hop->fromId));
        $rules = array_map(static fn (Finding $finding): string => $finding->rule(), self::checker()->check($plan)->all());
        // A keyed sender has fifteen codes, so that five lamps of its group stay dark; and nobody who texts a lamp on texts it off.
        self::assertSame(['output-undriven', 'cell-off-text-missing'], array_values(array_unique($rules)));
        self::assertSame(5, array_count_values($rules)['output-undriven']);
    }
}
