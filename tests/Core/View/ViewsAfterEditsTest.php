<?php

declare(strict_types=1);

namespace Tests\Core\View;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shipped;
use Rundfunk\View\NoSuchView;
use Tests\Core\CoreTestCase;

/** What an edit's answer says of the views, put into those that were there, must be what a whole look at the plan gives. */
final class ViewsAfterEditsTest extends CoreTestCase
{
    /** @var list<array{Plan, array<string, array<string, string>>}>|null */
    private static ?array $demos = null;

    /** @return iterable<string, array{ThingKind}> */
    public static function kinds(): iterable
    {
        // No view shows what was accepted.
        foreach (array_filter(ThingKind::cases(), static fn (ThingKind $kind): bool => $kind !== ThingKind::Acceptance) as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /** @return list<array{Plan, array<string, array<string, string>>}> both demos with all that is shown of them */
    private static function demos(): array
    {
        return self::$demos ??= array_map(static fn (Plan $plan): array => [$plan, self::allShown($plan)], [self::linden(), self::faulty()]);
    }

    #[DataProvider('kinds')]
    public function test_the_parts_make_the_whole(ThingKind $kind): void
    {
        foreach (self::demos() as [$plan, $before]) {
            $things = array_values($plan->all($kind));
            foreach (array_filter(array_unique([0, count($things) - 1]), static fn (int $at): bool => isset($things[$at])) as $at) {
                foreach (self::edits($plan, $kind, $things[$at]) as $operation) {
                    $this->same($plan, $before, $operation);
                }
            }
        }
    }

    public function test_another_region_changes_whatever_it_likes(): void
    {
        $plan = self::linden();
        $this->same($plan, self::allShown($plan), Operation::changeProperties($plan->properties->id, ['region' => 'us', 'busyWifi' => [13]]));
    }

    public function test_a_far_off_island_is_not_worked_out_again(): void
    {
        $sketch = self::pair()
            ->link('l', 'Air', 'packet-radio')->join('l', 'hand', Role::Sends, 'hand-radio')->join('l', 'board', Role::Receives, 'board-radio')
            ->control('k', 'hand', 'Key')->output('o', 'board', 'Lamp')->route('k', Action::On, 'o')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->node('farther', 'Farther', NodeKind::Controller, null, '8bit-5v-20io')
            ->link('m', 'Wire', 'ip')->join('m', 'far', Role::Both)->join('m', 'farther', Role::Both)
            ->control('f', 'far', 'Key')->output('g', 'farther', 'Lamp')->route('f', Action::On, 'g')->hop('f g on', 'm', 'far', 'farther', null);
        $plan = $sketch->assigned();
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Output, $sketch->id('o'), ['name' => 'Other'])]);
        $changed = Shipped::views()->after($edited, self::askable($plan));
        self::assertSame([$sketch->id('hand'), $sketch->id('board')], array_column($changed['pin-table'], 'of'));
        self::assertSame([$sketch->id('l')], array_column($changed['link-panel'], 'of'));
        self::assertSame([$sketch->id('o')], array_column($changed['output-masters'], 'of'));
    }

    /** @return list<Operation> */
    private static function edits(Plan $plan, ThingKind $kind, Thing $thing): array
    {
        $values = $thing->values();
        // A class that something is of cannot go; it can be changed.
        $edits = match (true) {
            $thing instanceof OwnBoard => [Operation::change($kind, $thing->id(), ['description' => [...$thing->description, 'logicV' => 3.3]])],
            $thing instanceof OwnModule => [Operation::change($kind, $thing->id(), ['description' => [...$thing->description, 'advice' => 'Otherwise.']])],
            default => [Operation::remove($kind, $thing->id())],
        };
        if (isset($values['name'])) {
            $edits[] = Operation::change($kind, $thing->id(), ['name' => 'Renamed']);
        }
        if ($thing instanceof Link) {
            $edits[] = Operation::change($kind, $thing->id(), ['settings' => match ($thing->medium) {
                'packet-radio' => ['channel' => 77], 'infrared' => ['sunlit' => true], 'ip' => ['root' => 'other'], 'cellular' => ['country' => 'AT'], default => [],
            }]);
        }
        if ($thing instanceof Endpoint) {
            $edits[] = Operation::change($kind, $thing->id(), ['role' => 'sends']);
        }
        if ($thing instanceof Module || $thing instanceof Control) {
            $other = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->id !== $thing->nodeId && $node->kind === $plan->node($thing->nodeId)->kind))[0] ?? null;
            $edits[] = $other === null || $thing instanceof Module ? Operation::change($kind, $thing->id(), ['name' => 'Other']) : Operation::change($kind, $thing->id(), ['nodeId' => $other->id]);
        }
        if ($thing instanceof Route) {
            $edits[] = Operation::change($kind, $thing->id(), ['action' => 'off']);
        }

        return $edits;
    }

    /** @param  array<string, array<string, string>>  $before */
    private function same(Plan $plan, array $before, Operation $operation): void
    {
        $edited = (new Editor(self::knowledge()))->apply($plan, [$operation]);
        $whole = self::allShown($edited->plan->draft()->plan());
        foreach ($whole as &$parts) {
            ksort($parts);
        }
        unset($parts);
        self::assertSame($whole, self::allShownAfter($edited, $before), "{$operation->op->value} of {$operation->kind?->value} {$operation->id}");
    }

    public function test_what_is_shown_of_something_that_is_gone_is_nothing(): void
    {
        $plan = self::linden();
        $node = $plan->nodes()[0];
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::remove(ThingKind::Node, $node->id)]);
        self::assertSame(['pin-table' => [['of' => $node->id, 'shows' => null]]], Shipped::views()->after($edited, ['pin-table' => [$node->id]]));
    }

    public function test_a_view_that_is_none_is_named_with_those_there_are(): void
    {
        $this->expectException(NoSuchView::class);
        $this->expectExceptionMessage('pin-table');
        Shipped::views()->show('crystal-ball', [], self::linden());
    }
}
