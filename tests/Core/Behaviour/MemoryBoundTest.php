<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use ReflectionMethod;
use Rundfunk\Behaviour\CSize;
use Rundfunk\Behaviour\Rule\MemoryShort;
use Rundfunk\Behaviour\Tabulation;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomPlans;

/** The rule of short memory leaves out what cannot be short: no behaviour takes more than it says that one of its size takes at most. */
final class MemoryBoundTest extends CoreTestCase
{
    public function test_no_behaviour_takes_more_than_its_bound(): void
    {
        $atMost = new ReflectionMethod(MemoryShort::class, 'atMost');
        $plans = [self::linden(), self::faulty()];
        for ($seed = 1; $seed <= 60; $seed++) {
            $plans[] = self::assigner()->assign((new RandomPlans($seed, self::knowledge()))->plan(3))->plan;
        }
        $looked = 0;
        foreach ($plans as $plan) {
            foreach ($plan->nodes() as $node) {
                if (! $node->kind->isBought()) {
                    $looked++;
                    self::assertGreaterThanOrEqual(CSize::of(Tabulation::of($plan, $node, self::knowledge()->of($plan)))->memoryBytes(), $atMost->invoke(null, $plan, $node), $node->name);
                }
            }
        }
        self::assertGreaterThan(100, $looked);
    }
}
