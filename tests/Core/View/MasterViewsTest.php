<?php

declare(strict_types=1);

namespace Tests\Core\View;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Tests\Core\CoreTestCase;

/** What the switch table says of outputs with several masters. */
final class MasterViewsTest extends CoreTestCase
{
    public function test_only_outputs_with_several_masters_are_listed_each_with_all_of_them(): void
    {
        $plan = self::linden();
        $shown = self::shown('output-masters', $plan);
        foreach ($plan->outputs() as $output) {
            $routes = array_map(static fn (Route $route): string => $route->id, $plan->routesTo($output));
            self::assertSame(count($routes) > 1 ? $routes : null, isset($shown[$output->id]) ? array_column($shown[$output->id]['masters'], 'routeId') : null, $output->name);
        }
    }

    public function test_a_lamp_held_by_its_wall_switch_stays_on_whatever_else_is_said(): void
    {
        [$plan, $masters] = self::mastersOf('Work lamp');
        foreach ($masters as $master) {
            $route = $plan->route($master['routeId']);
            self::assertSame($route->action === Action::Follow ? null : true, $master['whenHeld']);
            self::assertSame($route->action !== Action::Off, $master['whenOff']);
            self::assertNull($master['afterOff']);
        }
    }

    public function test_a_heater_put_off_by_hand_is_put_on_by_hand_alone(): void
    {
        [$plan, $masters] = self::mastersOf('Heat');
        $revived = [];
        foreach ($masters as $master) {
            if ($master['afterOff'] === true) {
                $revived[] = $plan->control($plan->route($master['routeId'])->controlId)->name;
            }
        }
        self::assertSame(['Heat on'], $revived);
        $by = array_map(static fn (array $master): string => $plan->control($plan->route($master['routeId'])->controlId)->name, $masters);
        self::assertContains('Air cold', $by, 'the thermostat is among the masters, and does not count');
    }

    /** @return array{Plan, list<array{routeId: string, whenOff: bool, whenOn: bool, whenHeld: bool|null, afterOff: bool|null}>} */
    private static function mastersOf(string $name): array
    {
        $plan = self::linden();
        foreach (self::shown('output-masters', $plan) as $outputId => $shown) {
            if ($shown !== null && $plan->output($outputId)->name === $name) {
                return [$plan, $shown['masters']];
            }
        }
        self::fail("{$name} has no masters");
    }
}
