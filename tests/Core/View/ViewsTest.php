<?php

declare(strict_types=1);

namespace Tests\Core\View;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\PinUse;
use Rundfunk\View\CatalogueView;
use Tests\Core\CoreTestCase;

/** What the screens are given. */
final class ViewsTest extends CoreTestCase
{
    public function test_every_route_has_a_view_with_its_way_and_time(): void
    {
        $plan = self::linden();
        $views = self::shown('route-way', $plan);
        self::assertCount(count($plan->routes()), $views);
        foreach ($views as $routeId => $view) {
            self::assertTrue($view['arrives']);
            self::assertIsArray($view['time']);
            self::assertEqualsWithDelta(1.0, array_sum(array_column($view['time']['segments'], 'share')), 1e-9);
            foreach ($view['hops'] as $hop) {
                if ($plan->link($hop['linkId'])->medium === 'packet-radio') {
                    self::assertMatchesRegularExpression('/^0x[0-9A-F]{2}$/', $hop['code']);
                    self::assertMatchesRegularExpression('/^[0-9A-F]{10}$/', $hop['address']);
                } else {
                    self::assertNotNull($hop['code'], $routeId);
                }
            }
        }
    }

    public function test_a_route_without_a_way_has_no_time(): void
    {
        $sketch = self::pair()->control('k', 'hand', 'Key')->output('o', 'board', 'Lamp')->route('k', Action::On, 'o');
        $view = array_values(self::shown('route-way', $sketch->plan()))[0];
        self::assertFalse($view['arrives']);
        self::assertNull($view['time']);
        self::assertSame([], $view['hops']);
    }

    public function test_a_pin_table_lists_every_pin_and_every_use_once(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $uses = [];
            foreach (array_filter(self::shown('pin-table', $plan)) as $nodeId => $table) {
                $node = $plan->node($nodeId);
                $board = self::knowledge()->of($plan)->catalogue->boardOf($node);
                self::assertSame(array_keys($board->pins ?? []), array_column($table['pins'], 'name'));
                foreach ($table['pins'] as $pin) {
                    $uses = [...$uses, ...array_column($pin['uses'], 'useId')];
                }
            }
            sort($uses);
            $all = array_map(static fn (PinUse $use): string => $use->id, $plan->pinUses());
            sort($all);
            self::assertSame($all, $uses);
        }
    }

    public function test_the_catalogue_view_names_no_maker_and_gives_every_basis(): void
    {
        $view = CatalogueView::of(self::knowledge());
        foreach ([...$view['boards'], ...$view['modules']] as $part) {
            self::assertNotSame('', $part->basis);
            self::assertDoesNotMatchRegularExpression('/[A-Z]{2,}\d{2,}/', $part->name, 'looks like a part number');
        }
        self::assertSame(['button', 'switch', 'axis'], array_slice(array_column($view['controlKinds'], 'key'), 0, 3));
        foreach ($view['controlKinds'] as $kind) {
            self::assertNotSame([], $kind['actions'], $kind['key']);
            self::assertNotSame([], $kind['homes'], $kind['key']);
        }
    }

    public function test_settings_fields_tell_a_form_all_it_needs(): void
    {
        $fields = array_column(CatalogueView::of(self::knowledge())['media'][0]['linkSettings'], null, 'name');
        self::assertSame('whole', $fields['channel']['kind']);
        self::assertTrue($fields['channel']['nullable']);
        self::assertSame(125, $fields['channel']['highest']);
        self::assertSame([250, 1000, 2000], $fields['rateKbps']['choices']);
        self::assertSame('flag', $fields['acknowledge']['kind']);
    }
}
